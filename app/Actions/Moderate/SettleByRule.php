<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Enums\Part;
use App\Logbook\Logbook;
use App\Models\Script;
use App\Models\Settlement;
use YoungHarbor\Core\Figures\Figure;

/**
 * Settles a script whose marks are all done, when the assignment's rule can; otherwise leaves it to the markers.
 *
 * Runs inside the transaction that finished the last mark.
 */
final class SettleByRule
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Script $script): void
    {
        $script->load(['marks', 'assignment']);
        $first = $script->mark(Part::First);
        $second = $script->mark(Part::Second);
        if ($first === null || ! $first->isDone() || ($second !== null && ! $second->isDone())) {
            return;
        }
        $rule = $script->assignment->settlement();
        $settled = $second === null ? $rule->single($first->exactTotal()) : $rule->byRule($first->exactTotal(), $second->exactTotal());
        if ($settled === null) {
            $this->logbook->write('left to the markers to settle', $script->code, [
                'why' => $rule->obstacle($first->exactTotal(), $second->exactTotal()),
            ], null, $script->assignment);

            return;
        }
        Settlement::query()->create([
            'script_id' => $script->id, 'mark' => (string) $settled->mark,
            'how' => $second === null ? 'single' : 'rule', 'working' => $settled->working->toArray(),
        ]);
        $this->logbook->write('settled by the rule', $script->code, ['mark' => Figure::plain($settled->mark)], null, $script->assignment);
    }
}
