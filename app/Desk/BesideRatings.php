<?php

declare(strict_types=1);

namespace App\Desk;

use App\Handins\WorkReader;
use App\Models\Mark;
use App\Models\PeerReview;
use App\Models\Round;
use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Peers\ReviewedAt;
use YoungHarbor\Core\Peers\StaffSee;
use YoungHarbor\Core\Rubric\CommentCriterion;
use YoungHarbor\Core\Rubric\MarkForm;

/**
 * What its author, and peers, gave the work that someone marks, where a round says that staff see it: by criterion,
 * with
 * the names of its authors hidden in what was written.
 */
final class BesideRatings
{
    /**
     * @return array<string, list<array{who: string, said: string, comment: string}>> by criterion
     */
    public static function of(Mark $mark): array
    {
        $rounds = Round::query()->where('assignment_id', $mark->script->assignment_id)->whereNotNull('given_at')
            ->orderBy('number')->get()->filter(fn (Round $one) => $one->settings->staffSee !== StaffSee::Nothing)
            ->keyBy('id');
        if ($rounds->isEmpty() || $mark->isStudents()) {
            return [];
        }
        $reviews = PeerReview::query()->whereIn('round_id', $rounds->modelKeys())->whereNull('returned_at')
            ->whereNull('hidden_at')->whereHas('work', fn ($work) => $work->where('script_id', $mark->script_id))
            ->whereHas('mark', fn ($own) => $own->whereNotNull('done_at'))->with('mark.rubricVersion')
            ->orderByDesc('own')->orderBy('place')->get();
        $masks = $reviews->isEmpty() ? [] : WorkReader::masks($mark->script->group()->pluck('student')->all());
        $found = [];
        $peers = 0;
        foreach ($reviews as $review) {
            $settings = $rounds->get($review->round_id)?->settings;
            if ($settings === null || ! $settings->staffSee->shows($review->own)) {
                continue;
            }
            $who = (string) __($review->own ? 'peers.beside.own' : 'peers.beside.peer', ['n' => $review->own ? 0 : ++$peers])
                .($settings->on === ReviewedAt::Draft ? ' '.__('peers.beside.draft') : '');
            foreach ($review->mark->rubric()->criteria as $criterion) {
                $set = $review->mark->choices->on($criterion->id());
                $points = $set->isUnset() || $set->notApplicable ? null : $criterion->points($set);
                $found[$criterion->id()][] = [
                    'who' => $who,
                    'said' => $criterion instanceof CommentCriterion || $set->isUnset() ? ''
                        : self::said($points, MarkForm::inWords($criterion, $set)),
                    'comment' => Mask::hideAll($masks, $set->comment),
                ];
            }
        }

        return $found;
    }

    private static function said(?BigDecimal $points, string $words): string
    {
        return implode(', ', array_filter([$points === null ? '' : Figure::plain($points), $words]));
    }
}
