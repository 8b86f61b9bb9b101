<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Enums\NoticeKind;
use App\Enums\Role;
use App\Keeping\DueThing;
use App\Keeping\DueThings;
use App\Models\Membership;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Tells coordinators, and administrators of what is the institution's, what has fallen due: once of each.
 */
final class TellOfDueThings
{
    public function __construct(private readonly DueThings $things, private readonly Notices $notices)
    {
    }

    public function __invoke(): void
    {
        $waiting = collect($this->things->everywhere())->filter(fn (DueThing $one) => $one->waits());
        foreach ($waiting->groupBy(fn (DueThing $one) => (int) $one->assignment?->id) as $things) {
            DB::transaction(fn () => $this->tell($things));
        }
    }

    /**
     * @param  Collection<int, DueThing>  $things  of one assignment, or of the institution
     */
    private function tell(Collection $things): void
    {
        $assignment = $things->firstOrFail()->assignment;
        $to = $assignment === null
            ? User::query()->where('is_admin', true)->whereNull('closed_at')->get()
            : User::query()->whereNull('closed_at')->whereIn('id', Membership::query()
                ->where('module_id', $assignment->module_id)->where('role', Role::Coordinator)->whereNull('left_at')
                ->select('user_id'))->get();
        $path = $assignment === null
            ? ['institution.keeping', []]
            : ['keeping.module', [$assignment->module]];
        $kinds = $things->map(fn (DueThing $one) => (string) __("keeping.periods.kinds.{$one->kind->value}.0"))->implode(', ');
        // What is the institution's falls due anew every day: told of once a month.
        $once = $things->map(fn (DueThing $one) => $one->kind->value
            .($assignment === null ? now()->format('Y-m') : $one->due->format('Ymd')))->implode(',');
        $of = $assignment->title ?? (string) config('harbor.institution');
        $this->notices->make(array_values($to->map(fn (User $person) => new NewNotice(
            $person, NoticeKind::KeepingDue, 'keeping:'.hash('xxh128', "{$assignment?->public_id}{$once}{$person->id}"),
            (string) __('notices.keeping_due', ['of' => $of, 'kinds' => $kinds]), route($path[0], $path[1], false), $assignment,
            (string) __('notices.keeping_due_subject', ['of' => $of]),
            (string) __('notices.keeping_due_body', ['of' => $of, 'kinds' => $kinds, 'name' => $person->name, 'link' => route(...$path)]),
        ))->all()));
    }
}
