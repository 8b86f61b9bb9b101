<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Assignment;
use App\Models\Module;
use App\Models\Result;
use App\Wording\LocalTime;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Formats\OneRosterResults;
use YoungHarbor\Core\Marks\Band;
use ZipArchive;

/**
 * Files of OneRoster, packed.
 */
final class OneRosterZip
{
    /** What was released of a module, as one snapshot. */
    public function results(Module $module): string
    {
        return self::pack(DB::transaction(fn (): array => $this->files($module)));
    }

    /**
     * @param  array<string, string>  $files
     */
    public static function pack(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'oneroster');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $file => $text) {
            $zip->addFromString($file, $text);
        }
        $zip->close();
        try {
            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }

    /**
     * @return array<string, string>
     */
    private function files(Module $module): array
    {
        $assignments = $module->assignments()->whereNotNull('published_at')->orderBy('due_at')->orderBy('id')->get();
        $scales = $lines = $results = [];
        foreach ($assignments as $assignment) {
            $scale = $assignment->scale();
            $id = 'scale-'.substr(hash('sha256', (string) json_encode($scale->toArray())), 0, 12);
            $scales[$id] = ['id' => $id, 'title' => $scale->name, 'bands' => array_map(
                fn (Band $band) => ['name' => $band->name, 'from' => (string) $band->from], $scale->bands,
            )];
            $lines[] = [
                'id' => $assignment->public_id, 'title' => $assignment->title, 'scale' => $id,
                'due' => $this->day($assignment->due_at), 'assigned' => $this->day($assignment->published_at),
            ];
        }
        Result::query()->whereIn('holding_script_id', DB::table('scripts')
            ->whereIn('assignment_id', $assignments->modelKeys())->select('id'))
            ->with(['script:id,assignment_id,student_id,late', 'script.student:id,email,roster_id'])
            ->orderBy('id')->select([
                'id', 'public_id', 'script_id', 'mark', 'shown', 'band', 'released_at', 'provisional', 'confirmed_at',
            ])->chunkById(500, function ($some) use (&$results, $assignments): void {
                foreach ($some as $one) {
                    $assignment = $assignments->find($one->script->assignment_id);
                    assert($assignment instanceof Assignment);
                    $results[] = [
                        'id' => $one->public_id, 'line' => $assignment->public_id,
                        'student' => $one->script->student->roster_id ?? $one->script->student->email,
                        'score' => $one->shownMark(), 'band' => $one->band, 'date' => $this->day($one->released_at),
                        'late' => $one->script->late, 'provisional' => $one->isProvisional(),
                    ];
                }
            });

        return OneRosterResults::write([
            'institution' => (string) config('harbor.institution'), 'code' => $module->code, 'title' => $module->title,
            'id' => $module->public_id,
        ], self::schoolYear(), array_values($scales), $lines, $results);
    }

    /** The year in which the school year of today ends: it begins in September. */
    public static function schoolYear(): int
    {
        return (int) now()->format('Y') + ((int) now()->format('n') >= 9 ? 1 : 0);
    }

    private function day(?\Carbon\CarbonInterface $at): string
    {
        return $at === null ? '' : $at->copy()->setTimezone(LocalTime::zone())->format('Y-m-d');
    }
}
