<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Moves someone to another section, or notes that they have left or are back. Who leaves keeps work and marks.
 */
final class ChangeMember
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ExpectScripts $expectScripts,
    ) {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Membership $member, ?string $section, bool $left, User $by): void
    {
        DB::transaction(function () use ($member, $section, $left, $by): void {
            $stored = Membership::query()->with(['user', 'module'])->lockForUpdate()->findOrFail($member->id);
            $othersCoordinate = $stored->module->members()->where('role', Role::Coordinator)->whereKeyNot($stored->id)
                ->lockForUpdate()->exists();
            if ($left && $stored->role === Role::Coordinator && ! $othersCoordinate) {
                throw new Refused('A module needs a coordinator: add another before this one leaves.', 'left');
            }
            $before = $stored->left_at !== null;
            $changed = array_filter(
                [
                    'section' => $stored->section !== $section, 'left' => ! $before && $left,
                    'is back' => $before && ! $left,
                ]
            );
            $stored->update(['section' => $section, 'left_at' => $left ? $stored->left_at ?? now() : null]);
            if ($before !== $left && $stored->role === Role::Student) {
                Script::noteLeft($stored->module_id, [$stored->user_id], $left);
                Assignment::query()->where('module_id', $stored->module_id)->whereNotNull('published_at')->get()
                    ->each(fn (Assignment $assignment) => ($this->expectScripts)($assignment));
            }
            if ($changed !== []) {
                $this->logbook->write(
                    Entry::of(LogEvent::PersonChanged)->on($stored->user)->in($stored->module)
                        ->with(changed: array_keys($changed))->saying(section: $section)->by($by)
                );
            }
        });
    }
}
