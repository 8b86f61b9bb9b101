<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Models\Assignment;
use App\Models\Result;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Release\CohortFigures;
use YoungHarbor\Core\Release\HeardResult;
use YoungHarbor\Core\Text\CommentKind;

/**
 * What the cohort of an assignment should hear, from results that are out, and a first draft of a message to all.
 */
final class CohortTalk
{
    /** Below this mean, in per cent, a criterion is one to work on in the draft of the message. */
    private const LOW = 55;

    /**
     * @return array{figures: CohortFigures|null, bodies: array<string, string>, draft: string} comments of a bank by key
     */
    public function of(Assignment $assignment): array
    {
        $bank = $bodies = [];
        $results = [];
        Result::query()->whereIn('holding_script_id', $assignment->scripts()->select('id'))->orderBy('id')
            ->select(['id', 'document'])->chunkById(200, function ($some) use (&$results, &$bank, &$bodies): void {
                $bank = $this->fromBank(
                    $some->flatMap(fn (Result $one) => array_column($one->document['comments'], 'id'))->all()
                );
                foreach ($some as $one) {
                    $results[] = $this->heard($one->document, $bank, $bodies);
                }
            });
        $figures = CohortFigures::of($results);

        return [
            'figures' => $figures, 'bodies' => $bodies,
            'draft' => $figures === null ? '' : $this->draft($figures, $bodies),
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  array<string, array{string, string}>  $bank
     * @param  array<string, string>  $bodies
     */
    private function heard(array $document, array $bank, array &$bodies): HeardResult
    {
        $criteria = $said = [];
        foreach ($document['criteria'] as $one) {
            $share = $this->share($one);
            $share === null || $criteria[$one['id']] = ['title' => $one['title'], 'share' => $share];
        }
        foreach ($document['comments'] as $one) {
            if (in_array($one['key'], [CommentKind::Praise->value, CommentKind::Fix->value], true)) {
                [$key, $body] = $bank[$one['id']] ?? [null, ''];
                $key === null || $bodies[$key] = $body;
                $said[] = [
                    'kind' => $one['key'] === CommentKind::Praise->value ? 'praise' : 'fix',
                    'criterion' => $one['criterion'], 'bank' => $key,
                ];
            }
        }

        return new HeardResult($criteria, $said);
    }

    /**
     * @param  array<string, mixed>  $criterion  of a result
     * @return float|null of 1; null where it does not apply, or nothing of it can be counted
     */
    private function share(array $criterion): ?float
    {
        $max = (float) ($criterion['max'] ?? 0);
        if (! $criterion['applies'] || $max <= 0.0) {
            return null;
        }
        if ($criterion['points'] !== null) {
            return (float) $criterion['points'] / $max;
        }
        // Feedback without a mark still says which level was reached.
        foreach ($criterion['levels'] as $level) {
            if ($level['reached']) {
                return (float) $level['points'] / $max;
            }
        }

        return null;
    }

    /**
     * @param  array<mixed>  $comments  public ids
     * @return array<string, array{string, string}> key and words of the bank's comment, by comment
     */
    private function fromBank(array $comments): array
    {
        return DB::table('mark_comments')->join(
            'bank_comments', 'bank_comments.id', '=', 'mark_comments.bank_comment_id',
        )
            ->whereIn('mark_comments.public_id', $comments)
            ->get(['mark_comments.public_id', 'bank_comments.id', 'bank_comments.text', 'bank_comments.label'])
            ->mapWithKeys(
                fn (object $row) => [$row->public_id => ["b{$row->id}", (string) ($row->text ?: $row->label)]]
            )->all();
    }

    /**
     * @param  array<string, string>  $bodies
     */
    private function draft(CohortFigures $figures, array $bodies): string
    {
        $well = array_filter($figures->criteria, fn (array $one) => $one['mean'] >= self::LOW);
        $low = array_filter($figures->criteria, fn (array $one) => $one['mean'] < self::LOW);
        usort($well, fn (array $a, array $b) => $b['mean'] <=> $a['mean']);
        usort($low, fn (array $a, array $b) => $a['mean'] <=> $b['mean']);
        $lines = fn (array $criteria, string $kind): array => [
            ...array_map(fn (array $one) => "– {$one['title']}", array_slice($criteria, 0, 3)),
            ...array_map(
                fn (array $one) => '– '.($bodies[$one['what']] ?? ''), array_slice($figures->byBank[$kind], 0, 3),
            ),
        ];
        $part = fn (string $title, array $lines): string => $lines === []
            ? ''
            : "{$title}\n".implode("\n", $lines)."\n\n";

        return __('cohort-talk.draft_begin').$part(__('cohort-talk.draft_well'), $lines($well, 'praise'))
            .$part(__('cohort-talk.draft_work'), $lines($low, 'fix')).__('cohort-talk.draft_end');
    }
}
