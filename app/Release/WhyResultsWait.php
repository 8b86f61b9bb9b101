<?php

declare(strict_types=1);

namespace App\Release;

use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\Round;
use App\Queries\Moderate\SignOff;

/**
 * What keeps every result of an assignment in: a signature that is missing, or a round of peer review that counts and
 * is not closed.
 */
final class WhyResultsWait
{
    public function __construct(private readonly SignOff $signOff)
    {
    }

    public function of(Assignment $assignment): ?string
    {
        $rounds = self::openRounds($assignment);

        return $this->signOff->whyUnsigned($assignment) ?? ($rounds === [] ? null : (string) trans_choice(
            'release.round_open', count($rounds), ['rounds' => implode(', ', $rounds)],
        ));
    }

    /**
     * @return list<string> titles of rounds that count, are shown to students, and are not closed
     */
    public static function openRounds(Assignment $assignment): array
    {
        $contribution = Contribution::query()->where('assignment_id', $assignment->id)->whereNotNull('opened_at')
            ->whereNull('closed_at')->exists() ? [(string) __('contribution.title')] : [];

        return [...$contribution, ...array_values(Round::query()->where('assignment_id', $assignment->id)->whereNotNull('opened_at')
            ->whereNull('closed_at')->orderBy('number')->get()
            ->filter(fn (Round $one) => $one->settings->counts())->map(fn (Round $one) => $one->title)->all())];
    }
}
