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
    /**
     * @param  array<string, string>  $names  by the keys of markers
     */
    private function __construct(public bool $seesAll, public string $self, private array $names)
    {
    }

    public static function of(Assignment $assignment, User $person, AgreementReport $report): self
    {
        $seesAll = app(AssignmentPolicy::class)->compareMarkers($person, $assignment);
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
                $names[$id] = 'Another marker'.(count($others) > 1 ? ' '.($n + 1) : '');
            }
            $names[$self] = 'You';
        }

        return new self($seesAll, $self, $names);
    }

    public function name(string $marker): string
    {
        return $this->names[$marker] ?? 'someone who left';
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
