<?php

declare(strict_types=1);

namespace App\Queries\ShareOut;

use App\Enums\Role;
use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\AssignmentMarker;
use App\Models\Conflict;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Script;
use App\Models\User;
use App\Queries\NameOrder;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Allocation\GivenScript as Placed;
use YoungHarbor\Core\Allocation\Load;
use YoungHarbor\Core\Allocation\Marker;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Allocation\Work;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondMarks;

/**
 * What a plan of allocation is made of: an assignment's scripts, who may mark, and what is with whom now.
 */
final class Planning
{
    /**
     * The scripts there are to mark: with one mark a group, the group's. What is still being read comes with the next
     * plan.
     *
     * @return Collection<int, Script>
     */
    public function scripts(Assignment $assignment): Collection
    {
        return Script::query()->where('assignment_id', $assignment->id)
            ->whereHas('currentHandin', fn ($handin) => $handin->whereNotNull('read_at'))->whereNull('lead_id')
            ->orderBy('code')->get();
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @return list<Work>
     */
    public function works(Assignment $assignment, Collection $scripts): array
    {
        $sections = Membership::query()->where('module_id', $assignment->module_id)->whereNotNull('section')
            ->pluck('section', 'user_id');
        $people = User::query()
            ->whereIn('id', Script::query()->where('assignment_id', $assignment->id)->select('student_id'))
            ->pluck('public_id', 'id');
        $groups = Script::query()->where('assignment_id', $assignment->id)->whereNotNull('group_name')
            ->get(['student_id', 'group_name'])->groupBy('group_name');

        return array_values($scripts->map(fn (Script $script) => new Work(
            $script->code, $sections[$script->student_id] ?? null, $script->group_name,
            // What a group hands in together is the work of each of them.
            $script->group_name !== null && $assignment->handin_by->isGroup()
                ? array_values(
                    $groups->get($script->group_name, new Collection)
                        ->map(fn (Script $each) => (string) $people[$each->student_id])->all()
                )
                : [(string) $people[$script->student_id]],
        ))->all());
    }

    /**
     * Who may be chosen to mark: tutors first, then coordinators.
     *
     * @return Collection<int, Membership>
     */
    public function people(Assignment $assignment): Collection
    {
        return $assignment->module->members()->with('user')->whereIn('role', [Role::Tutor, Role::Coordinator])->get()
            ->sortBy(
                fn (Membership $member) => [$member->role === Role::Coordinator, NameOrder::key($member->user->name)]
            )->values();
    }

    /**
     * The agreed settings, or one share for each tutor where nothing is agreed yet.
     *
     * @return array<string, array{marks: bool, share: string, sections: list<string>|null}> by public id
     */
    public function agreed(Assignment $assignment): array
    {
        $stored = AssignmentMarker::query()->where('assignment_id', $assignment->id)->get()->keyBy('user_id');
        $agreed = [];
        foreach ($this->people($assignment) as $member) {
            $own = $stored->get($member->user_id);
            $agreed[$member->user->public_id] = [
                'marks' => $stored->isEmpty() ? $member->role === Role::Tutor : $own !== null,
                'share' => $own === null ? '1' : (string) (float) $own->share, 'sections' => $own?->sections,
            ];
        }

        return $agreed;
    }

    /**
     * @param  list<array{marker: string, share: string, sections: list<string>|null}>  $settings
     * @return list<Marker>
     */
    public function markers(Assignment $assignment, array $settings): array
    {
        $conflicts = Conflict::query()->where('module_id', $assignment->module_id)
            ->with(['marker:id,public_id', 'student:id,public_id'])->get()
            ->groupBy(fn (Conflict $conflict) => $conflict->marker->public_id)->map(
                fn ($all) => $all->map(fn (Conflict $conflict) => $conflict->student->public_id)->all()
            );

        return array_map(
            fn (array $one) => Marker::of(
                $one['marker'], $one['share'], $one['sections'], array_values($conflicts->get($one['marker'], [])),
            ),
            $settings,
        );
    }

    /** Who could mark a script a third time: of those who may, the one with the fewest third marks. */
    public function third(Assignment $assignment, Script $script): ?User
    {
        $works = $this->works($assignment, new Collection([$script]));
        $settings = [];
        foreach ($this->agreed($assignment) as $marker => $agreed) {
            $agreed['marks'] && $settings[] = ['marker' => $marker, 'share' => $agreed['share'], 'sections' => null];
        }
        $markers = $this->markers($assignment, $settings);
        if (array_filter($markers, fn (Marker $marker) => ! $marker->share->isZero()) === [] || count($markers) < 3) {
            return null;
        }
        $kept = array_map(
            fn (GivenMark $mark) => new Placed($mark->code, $mark->marker, $mark->part),
            array_values(array_filter(
                $this->marks($assignment), fn (GivenMark $mark) => in_array($mark->part, Placed::PARTS, true),
            )),
        );
        $plan = MarkerPlan::make($works, $markers, $script->id, 3, kept: $kept);
        $given = array_values(array_filter($plan->given, fn (Placed $one) => $one->part === Seat::Third->value))[0]
            ?? null;

        return $given === null ? null : User::query()->where('public_id', $given->marker)->first();
    }

    /** Whether a conflict of interest keeps a script from someone, or it is no script there is to mark. */
    public function isKeptFrom(Assignment $assignment, string $code, string $marker): bool
    {
        $works = $this->works($assignment, $this->scripts($assignment)->where('code', $code)->values());

        return $works === []
            || $this->markers(
                $assignment, [['marker' => $marker, 'share' => '1', 'sections' => null]],
            )[0]->obstacle($works[0]) !== null;
    }

    /**
     * What is with whom now.
     *
     * @return list<GivenMark>
     */
    public function marks(Assignment $assignment): array
    {
        return array_values(Mark::counting()->where('marks.assignment_id', $assignment->id)->join(
            'scripts', 'scripts.id', '=', 'marks.script_id',
        )->join('users', 'users.id', '=', 'marks.marker_id')
            ->toBase()->get(
                ['scripts.code', 'marks.seat', 'users.public_id', 'users.name', 'marks.begun_at', 'marks.done_at']
            )
            ->map(
                fn (object $row) => new GivenMark(
                    (string) $row->code, (string) $row->seat, (string) $row->public_id, (string) $row->name,
                    $row->begun_at !== null, $row->done_at !== null,
                )
            )->all());
    }

    /**
     * The seats that are planned, of all scripts or of some.
     *
     * @return list<Seat>
     */
    public static function parts(Assignment $assignment): array
    {
        return $assignment->scheme->marksTwice() ? [Seat::First, Seat::Second] : [Seat::First];
    }

    /**
     * Codes of the scripts that want a second mark because they are in a sample.
     *
     * @param  Collection<int, Script>  $scripts
     * @return list<string>|null null where every script wants one, or none does
     */
    public static function sampled(Assignment $assignment, Collection $scripts): ?array
    {
        return $assignment->scheme->second !== SecondMarks::Sample
            ? null
            : array_values($scripts->where('sampled', Sampled::In)->map(fn (Script $script) => $script->code)->all());
    }

    /**
     * Loads and pairs of a plan as it stands, for its picture.
     *
     * @return array{loads: array<string, array{first: int, second: int, begun: int, fair: float}>, common: array<string, array<string, int>>}
     */
    public function picture(AllocationPlan $plan): array
    {
        $shares = array_column($plan->settings['markers'], 'share', 'marker');
        $none = ['first' => 0, 'second' => 0, 'begun' => 0, 'fair' => 0.0];
        $loads = array_fill_keys(array_keys($shares), $none);
        $given = [];
        foreach ($plan->entries as $entry) {
            if ($entry['marker'] === null) {
                continue;
            }
            $loads[$entry['marker']] ??= $none;
            $loads[$entry['marker']][Seat::from($entry['part']) === Seat::First ? 'first' : 'second']++;
            $loads[$entry['marker']]['begun'] += $entry['fixed'] ? 1 : 0;
            $given[] = new Placed($entry['script'], $entry['marker'], $entry['part']);
        }

        $shared = count(array_filter($given, fn (Placed $one) => isset($shares[$one->marker])));
        foreach (Load::fairShares($shared, $shares) as $marker => $fair) {
            $loads[$marker] = ['fair' => $fair->toFloat()] + ($loads[$marker] ?? $none);
        }

        return [
            'loads' => $loads, 'common' => MarkerPlan::inCommon($given, array_map(strval(...), array_keys($loads))),
        ];
    }
}
