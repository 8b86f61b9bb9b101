<?php

declare(strict_types=1);

namespace App\Queries\Peers;

use App\Models\PeerReview;
use App\Models\Result;
use App\Models\Round;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Figures\Figure;

/**
 * What a student gave their own work, beside what peers and staff gave it, criterion by criterion.
 */
final readonly class RatingsBesideResult
{
    /**
     * @param  list<array{title: string, max: string, own: string, peers: list<string>, staff: string}>  $rows
     * @param  bool  $after  whether the own rating was made once the result had been seen
     */
    private function __construct(public PeerReview $own, public Round $round, public array $rows, public bool $after)
    {
    }

    /** Null where its student has rated no work of theirs. */
    public static function of(Result $result): ?self
    {
        $script = $result->script;
        $rounds = Round::query()->where('assignment_id', $script->assignment_id)->whereNotNull('given_at')
            ->orderByDesc('number')->get()->filter(fn (Round $one) => $one->settings->self)->keyBy('id');
        $own = $rounds->isEmpty() ? null : PeerReview::query()->whereIn('round_id', $rounds->modelKeys())
            ->where('own', true)->whereHas('member', fn ($member) => $member->where('user_id', $script->student_id))
            ->whereHas('mark', fn ($mark) => $mark->whereNotNull('done_at'))->with('mark.rubricVersion', 'member')
            ->orderByDesc('round_id')->first();
        $round = $own === null ? null : $rounds->get($own->round_id);
        if ($own === null || $round === null) {
            return null;
        }
        $own->setRelation('round', $round);
        $peers = $round->settings->marksSeen ? ReceivedReviews::of($round, $script, $own->member)->load('mark.rubricVersion')
            : new Collection;
        $staff = ($result->document['points_shown'] ?? false) === true
            ? array_column((array) ($result->document['criteria'] ?? []), 'points', 'id') : [];
        $rows = [];
        foreach ($own->mark->rubric()->scored() as $criterion) {
            $points = fn (PeerReview $one): string => self::shown($one, $criterion->id());
            $rows[] = [
                'title' => $criterion->title(), 'max' => Figure::plain($criterion->max()), 'own' => $points($own),
                'peers' => array_values($peers->map($points)->all()),
                'staff' => (string) ($staff[$criterion->id()] ?? ''),
            ];
        }

        return new self($own, $round, $rows, $result->first_opened_at !== null
            && $own->mark->done_at?->gt($result->first_opened_at) === true);
    }

    private static function shown(PeerReview $review, string $criterion): string
    {
        $is = $review->mark->rubric()->criterion($criterion);
        $set = $review->mark->choices->on($criterion);
        $points = $is === null || $set->isUnset() || $set->notApplicable ? null : $is->points($set);

        return $points instanceof BigDecimal ? Figure::plain($points) : '–';
    }
}
