<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Exceptions\Refused;
use App\Models\AllocationPlan;
use App\Queries\ShareOut\Planning;
use Illuminate\Support\Facades\DB;

/**
 * Moves one script of a draft plan to another marker by hand. Agreed sections may be overruled so, conflicts never.
 */
final class MoveInPlan
{
    public function __construct(private readonly Planning $planning)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(AllocationPlan $plan, string $code, string $part, string $to): AllocationPlan
    {
        return DB::transaction(function () use ($plan, $code, $part, $to): AllocationPlan {
            $stored = AllocationPlan::query()->lockForUpdate()->findOrFail($plan->id);
            throw_if(
                $stored->state !== 'draft',
                new Refused(
                    'This plan has been given out or dropped meanwhile. Nothing was moved; work out a new one to go on.'
                ),
            );
            $entries = $stored->entries;
            $at = $this->place($entries, $code, $part)
                ?? throw new Refused(
                    "There is no {$part} mark of {$code} in this plan. Check the code; nothing was moved."
                );
            $name = fn (string $id): string => (string) $this->planning->people($stored->assignment)
                ->first(fn ($member) => $member->user->public_id === $id)?->user->name;
            throw_if(
                ! in_array($to, array_column($stored->settings['markers'], 'marker'), true),
                new Refused(
                    'That person does not mark in this plan. Tick them under “Who marks” and work the plan out again.'
                ),
            );
            throw_if(
                $entries[$at]['fixed'],
                new Refused(
                    "The {$part} mark of {$code} is begun, so it stays with {$name(
                        (string) $entries[$at]['marker']
                    )}. Only work that is not begun moves."
                ),
            );
            foreach ($entries as $other) {
                throw_if(
                    $other['script'] === $code && $other['part'] !== $part && $other['marker'] === $to,
                    new Refused(
                        "{$name($to)} has the {$other['part']} mark of {$code}, and nobody marks a script twice. Nothing was moved."
                    ),
                );
            }
            // Not why: whose script it is must not follow from it.
            throw_if(
                $this->planning->isKeptFrom($stored->assignment, $code, $to),
                new Refused("A rule of this module keeps {$code} from {$name($to)}. Nothing was moved."),
            );
            if ($entries[$at]['marker'] === $to) {
                return $stored;
            }
            $entries[$at]['marker'] = $to;
            $stored->update([
                'entries' => $entries, 'moves' => $stored->moves + 1, 'lock_version' => $stored->lock_version + 1,
                'unplaced' => array_values(
                    array_filter(
                        $stored->unplaced, fn (array $one) => $one['script'] !== $code || $one['part'] !== $part,
                    )
                ),
            ]);

            return $stored;
        });
    }

    /**
     * @param  list<array{script: string, part: string, marker: string|null, from: string|null, fixed: bool}>  $entries
     */
    private function place(array $entries, string $code, string $part): ?int
    {
        foreach ($entries as $n => $entry) {
            if ($entry['script'] === $code && $entry['part'] === $part) {
                return $n;
            }
        }

        return null;
    }
}
