<?php

declare(strict_types=1);

namespace App\Alike;

use App\Models\AgreementReport;
use App\Models\Assignment;
use App\Models\User;
use App\Policies\AssignmentPolicy;

/**
 * What of the figures on agreement someone sees: coordinator, moderator and examiner everything with names; a marker
 * themselves named, the others without name or number of scripts, and of single scripts those they marked.
 */
final readonly class AlikeReader
{
    /** A marker sees what all gave together where it holds at least so many others and so many of their marks. */
    private const OTHERS = 2;

    private const MARKS = 10;

    /**
     * @param  bool  $waits  whether they see of their own marks only, since some of them are still to be made
     * @param  array<string, string>  $names  by the keys of markers
     */
    private function __construct(
        public bool $seesAll, public bool $waits, public string $self, private array $names,
    ) {
    }

    public static function of(Assignment $assignment, User $person, AgreementReport $report): self
    {
        $policy = app(AssignmentPolicy::class);
        $seesAll = $policy->compareMarkers($person, $assignment);
        $self = "m{$person->id}";
        $ids = array_column($report->figures['markers'], 'id');
        $names = [];
        if ($seesAll) {
            $people = User::query()->toBase()->whereIn('id', array_map(fn (string $id) => (int) substr($id, 1), $ids))
                ->pluck('name', 'id');
            foreach ($people as $id => $name) {
                $names["m{$id}"] = (string) $name;
            }
        } else {
            $others = array_values(array_diff($ids, [$self]));
            foreach ($others as $n => $id) {
                $names[$id] = __('alike.another').(count($others) > 1 ? ' '.($n + 1) : '');
            }
            $names[$self] = 'You';
        }

        return new self(
            $seesAll, ! $seesAll && ! $policy->seeHowOthersMark($person, $assignment), $self, $names,
        );
    }

    public function name(string $marker): string
    {
        return $this->names[$marker] ?? 'someone who left';
    }

    /** Beside a single script, whose own page names people: there a number would tell whose figures are whose. */
    public function nameBesideScript(string $marker): string
    {
        return $this->seesAll || $marker === $this->self ? $this->name($marker) : __('alike.another');
    }

    /**
     * Whether all marks together may be shown: to a marker not where they would tell what one other gave.
     *
     * @param  list<array<string, mixed>>  $markers
     */
    public function seesTotals(array $markers): bool
    {
        if ($this->seesAll || $this->waits) {
            return $this->seesAll;
        }
        $others = array_filter($markers, fn (array $one) => $one['id'] !== $this->self && $one['marks'] > 0);

        return count($others) >= self::OTHERS && array_sum(array_column($others, 'marks')) >= self::MARKS;
    }

    /** Whether counts, bands and the course of a marker's work may be shown. */
    public function seesWorkOf(string $marker): bool
    {
        return $this->seesAll || $marker === $this->self;
    }

    /**
     * Scripts one by one, furthest apart first.
     *
     * @return list<array{key: string, code: string, markers: list<string>, marks: list<float>, weight: float}>
     */
    public function furthest(AgreementReport $report): array
    {
        return $this->seesAll ? $report->figures['furthest'] : AlikeFigures::furthest(array_values(array_filter(
            AgreementReport::query()->findOrFail($report->id, ['pairs'])->pairs,
            fn (array $one) => in_array($this->self, $one['markers'], true),
        )));
    }
}
