<?php

declare(strict_types=1);

namespace App\Screening;

use App\Enums\SourceKind;
use App\Models\Assignment;
use App\Models\OverlapSource;
use App\Models\Script;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\SourceIndex;
use YoungHarbor\Core\Text\Words;

/**
 * Which texts a script is aligned with: those that share prints with it, where its assignment says to look. Its own
 * attempts and what its group handed in are no overlap; only attempts that count are compared.
 */
final class Candidates
{
    private const CHUNK = 500;

    public function __construct(private readonly SourceIndex $index)
    {
    }

    /**
     * @return array<int, bool> source ids in order, and whether close wording is worth looking for
     */
    public function of(Script $script, Words $words): array
    {
        $assignment = $script->assignment;
        $prints = Prints::of($words->normalForms(), $assignment->givenWords());
        $shelves = $this->shelves($assignment);
        $same = $this->index->sharing($shelves, $prints->same);
        $near = array_filter(
            $this->index->sharing(array_values(array_diff($shelves, [OverlapSource::ARCHIVE])), $prints->loose),
            fn (int $shared) => $shared >= Prints::LOOSE_ENOUGH,
        );
        $far = array_filter(
            $this->index->sharing(array_values(array_intersect($shelves, [OverlapSource::ARCHIVE])), $prints->loose),
            fn (int $shared) => $shared >= Prints::LOOSE_ENOUGH_FAR,
        );
        $loose = $near + $far;
        $candidates = [];
        foreach (array_chunk(array_keys($same + $loose), self::CHUNK) as $ids) {
            foreach ($this->allowed($script, $shelves, $ids) as $id) {
                $candidates[$id] = isset($loose[$id]);
            }
        }
        ksort($candidates);

        return $candidates;
    }

    /**
     * @return list<int>
     */
    private function shelves(Assignment $assignment): array
    {
        $others = $assignment->screening->module
            ? Assignment::query()->where('module_id', $assignment->module_id)->whereKeyNot($assignment->id)
                ->orderBy('id')->pluck('id')->all()
            : [];

        return [
            $assignment->id, ...array_values(array_map(intval(...), $others)),
            ...($assignment->screening->archive ? [OverlapSource::ARCHIVE] : []),
        ];
    }

    /**
     * @param  list<int>  $shelves
     * @param  list<int>  $ids
     * @return list<int>
     */
    private function allowed(Script $script, array $shelves, array $ids): array
    {
        $rows = DB::table('overlap_sources as o')->leftJoin('handins as h', 'h.id', '=', 'o.handin_id')
            ->leftJoin('scripts as s', 's.id', '=', 'h.script_id')
            ->whereIntegerInRaw('o.id', $ids)->whereNull('o.taken_out_at')
            ->where(fn ($query) => $query->whereNull('o.handin_id')->orWhere(fn ($query) => $query
                ->whereColumn('s.current_handin_id', 'h.id')->where('s.id', '<>', $script->id)
                // What a group handed in together is no overlap.
                ->when(
                    $script->group_name,
                    fn ($query, string $group) => $query->where(
                        fn ($query) => $query->where('s.assignment_id', '<>', $script->assignment_id)
                            ->orWhereNull('s.group_name')->orWhere('s.group_name', '<>', $group)
                    ),
                )
                // A text that stands on a shelf of its own is not met a second time in the archive.
                ->where(
                    fn ($query) => $query->where(
                        'o.kind', '<>', SourceKind::Archive->value,
                    )->orWhereNotIn('s.assignment_id', $shelves)
                )))
            ->pluck('o.id');

        return array_values($rows->map(fn (mixed $id): int => (int) $id)->all());
    }
}
