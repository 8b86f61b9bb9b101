<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\SourceKind;
use App\Extraction\Reader;
use App\Extraction\ReaderBusy;
use App\Extraction\Refusal;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\OverlapSource;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\SourceIndex;
use YoungHarbor\Core\Text\Words;

/**
 * Puts texts of an earlier cohort into the archive, as files. Only their words are kept, without the files' names and
 * properties. A text that is there already is not added twice.
 */
final class AddToArchive
{
    public function __construct(
        private readonly Reader $reader,
        private readonly SourceIndex $index,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @param  list<UploadedFile>  $files
     * @return array{added: int, already: int, refused: list<string>}
     */
    public function __invoke(Module $module, array $files, string $title, string $cohort, User $by): array
    {
        $outcome = ['added' => 0, 'already' => 0, 'refused' => []];
        foreach ($files as $file) {
            try {
                $text = $this->reader->read($file->getRealPath(), $file->getClientOriginalName())->text();
            } catch (Refusal|ReaderBusy $e) {
                $outcome['refused'][] = $file->getClientOriginalName().': '.$e->getMessage();

                continue;
            }
            $this->add($module, $text, $title, $cohort) ? $outcome['added']++ : $outcome['already']++;
        }
        DB::transaction(fn () => $this->logbook->write(Entry::of(LogEvent::ArchiveAdded)->in($module)->with(
            added: $outcome['added'], already: $outcome['already'], refused: count($outcome['refused']),
        )->saying(title: trim("{$title}, {$cohort}", ', '))->by($by)));

        return $outcome;
    }

    private function add(Module $module, string $text, string $title, string $cohort): bool
    {
        $sum = hash('sha256', $text);

        return DB::transaction(function () use ($module, $text, $title, $cohort, $sum): bool {
            if (
                OverlapSource::query()->where('kind', SourceKind::Archive)->where('module_id', $module->id)
                    ->where('sha256', $sum)->whereNull('taken_out_at')->lockForUpdate()->exists()
            ) {
                return false;
            }
            $words = Words::of($text)->normalForms();
            $source = OverlapSource::query()->create([
                'kind' => SourceKind::Archive, 'shelf' => OverlapSource::ARCHIVE, 'module_id' => $module->id,
                'title' => $title, 'cohort' => $cohort, 'text' => $text,
                'sha256' => $sum, 'words' => count($words), 'numbers' => OverlapSource::packed($words),
                'indexed_at' => now(),
            ]);
            $this->index->put(OverlapSource::ARCHIVE, $source->id, Prints::of($words)->all());

            return true;
        });
    }
}
