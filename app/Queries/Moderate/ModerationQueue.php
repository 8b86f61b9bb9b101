<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Models\Assignment;
use App\Models\Script;
use App\Models\User;
use App\Policies\AssignmentPolicy;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Eloquent\Builder;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\Standing;

/**
 * The scripts of an assignment with their marks, for someone who may see them: counted and filtered by the database, a
 * page at a time, what is to settle first and of that what has waited longest.
 */
final readonly class ModerationQueue
{
    public const PAGE = 50;

    /**
     * @param  bool  $all  every script with a marker; otherwise those whose both marks a marker may see
     */
    private function __construct(
        public Assignment $assignment,
        public User $person,
        public bool $all,
        public ModerationFilter $filter,
    ) {
    }

    public static function of(Assignment $assignment, User $person, mixed $filter = null): self
    {
        return new self(
            $assignment, $person, app(AssignmentPolicy::class)->viewAllMarks($person, $assignment),
            ModerationFilter::tryFrom(is_string($filter) ? $filter : '') ?? ModerationFilter::All,
        );
    }

    /**
     * How many scripts each filter shows, those that can show any.
     *
     * @return array<string, int>
     */
    public function counts(): array
    {
        $sums = [];
        foreach (ModerationFilter::cases() as $filter) {
            $sums[] = "SUM({$this->condition($filter)}) AS `{$filter->value}`";
        }
        $row = (array) $this->scripts()->toBase()->selectRaw(implode(', ', $sums))->first();
        $counts = array_map(intval(...), $row);
        $usual = [ModerationFilter::All->value, ModerationFilter::ToSettle->value, ModerationFilter::Agreed->value];

        return array_filter(
            $counts, fn (int $count, string $filter) => $count > 0 || in_array($filter, $usual, true),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * @return LengthAwarePaginator<int, Script>
     */
    public function page(): LengthAwarePaginator
    {
        return $this->inOrder($this->scripts())->whereRaw($this->condition($this->filter))
            ->with(['marks.rubricVersion', 'settlement', 'inSample'])->paginate(self::PAGE)->withQueryString()
            ->through(fn (Script $script) => $script->setRelation('assignment', $this->assignment));
    }

    /**
     * The scripts before and after one in the order of the filter.
     *
     * @return array{previous: Script|null, next: Script|null, place: int|null, all: int}
     */
    public function around(Script $script): array
    {
        $ids = $this->inOrder($this->scripts())->whereRaw($this->condition($this->filter))->pluck('scripts.id')
            ->map(intval(...))->values()
            ->all();
        $at = array_search($script->id, $ids, true);
        $find = fn (?int $id): ?Script => $id === null ? null : Script::query()->find($id, ['id', 'public_id', 'code']);

        return [
            'previous' => $find(is_int($at) ? $ids[$at - 1] ?? null : null),
            'next' => $find(is_int($at) ? $ids[$at + 1] ?? null : $ids[0] ?? null),
            'place' => is_int($at) ? $at + 1 : null, 'all' => count($ids),
        ];
    }

    /** The first script that waits to be settled by whoever looks, or by anyone. */
    public function firstToSettle(): ?Script
    {
        return $this->inOrder($this->scripts())->whereRaw($this->condition(ModerationFilter::ToSettle))->first();
    }

    /**
     * @return Builder<Script>
     */
    private function scripts(): Builder
    {
        $scripts = Script::query()->where('scripts.assignment_id', $this->assignment->id)->whereNull('scripts.lead_id');

        return $this->all
            ? $scripts->whereNotIn('reached', [Standing::Expected, Standing::HandedIn])
            // A marker never learns anything of another mark before their own is done and, blind, the other too.
            : $scripts->whereHas(
                'marks', fn ($mark) => $mark->where('marker_id', $this->person->id)->whereNotNull('done_at'),
            )->whereDoesntHave('marks', fn ($mark) => $mark->where('seat', '<>', 'third')->whereNull('done_at'));
    }

    /**
     * @param  Builder<Script>  $scripts
     * @return Builder<Script>
     */
    private function inOrder(Builder $scripts): Builder
    {
        return $scripts->orderByRaw("reached <> '".Standing::ToSettle->value."'")
            ->orderByRaw('to_settle_at IS NULL, to_settle_at')->orderBy('code');
    }

    private function condition(ModerationFilter $filter): string
    {
        $reached = fn (Standing ...$of): string => "reached IN ('".implode("', '", array_column($of, 'value'))."')";
        $undecided = $this->assignment->scheme->second === SecondMarks::Sample
            ? "sampled = '".Sampled::Undecided->value."'"
            : '0';
        $before = "'".now()->subDays($this->assignment->scheme->days)->toDateTimeString()."'";

        return match ($filter) {
            ModerationFilter::All => '1',
            ModerationFilter::ToSettle => $reached(Standing::ToSettle),
            ModerationFilter::Overdue => "{$reached(Standing::ToSettle)} AND to_settle_at < {$before}",
            ModerationFilter::WithThird => $reached(Standing::WithThirdMarker),
            ModerationFilter::SecondOpen => "({$reached(Standing::WithSecondMarker, Standing::MarkedOnce)} AND NOT {$undecided})",
            ModerationFilter::Undecided => "{$reached(Standing::MarkedOnce)} AND {$undecided}",
            ModerationFilter::Agreed => $reached(Standing::Agreed, Standing::Released),
        };
    }
}
