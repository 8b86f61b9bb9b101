<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Exceptions\Refused;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use App\Jobs\WorkOutBaseline;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\OverlapSource;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Models\WritingText;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Writing\Prose;

/**
 * Makes a baseline, adds texts to it or takes one out. Each change is a new version; what texts are worth is worked out
 * after it.
 */
final class ChangeBaseline
{
    public function __construct(
        private readonly Reader $reader,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @throws Refused
     */
    public function make(Module $module, string $name, string $language, User $by): WritingBaseline
    {
        return DB::transaction(function () use ($module, $name, $language, $by): WritingBaseline {
            if (WritingBaseline::query()->where('module_id', $module->id)->where('name', $name)->exists()) {
                throw new Refused('There is a baseline of that name already.', 'name');
            }
            $baseline = WritingBaseline::query()
                ->create(
                    ['module_id' => $module->id, 'name' => $name, 'language' => $language, 'worked_out_version' => 1]
                )
                ->refresh();
            $this->logbook->write(
                Entry::of(LogEvent::BaselineMade)->in($module)->saying(title: $name, language: $language)->by($by)
            );

            return $baseline;
        });
    }

    /**
     * Files are read; their names and properties are not kept.
     *
     * @param  list<UploadedFile>  $files
     * @return array{added: int, already: int, refused: list<string>}
     */
    public function addFiles(WritingBaseline $baseline, array $files, string $title, User $by): array
    {
        $texts = $refused = [];
        foreach ($files as $file) {
            try {
                $texts[] = [$title, $this->reader->read($file->getRealPath(), $file->getClientOriginalName())->text()];
            } catch (Refusal $e) {
                $refused[] = $file->getClientOriginalName().': '.$e->getMessage();
            }
        }

        return [...$this->add($baseline, $texts, $by), 'refused' => $refused];
    }

    /**
     * The module's texts of one assignment and cohort in the archive.
     *
     * @return array{added: int, already: int}
     */
    public function addFromArchive(WritingBaseline $baseline, string $title, string $cohort, User $by): array
    {
        $sources = OverlapSource::past($baseline->module_id)->where('title', $title)->where('cohort', $cohort)
            ->with('handin:id,text')->orderBy('id')->get();

        return $this->add(
            $baseline,
            array_values(
                $sources->map(
                    fn (OverlapSource $source): array => [
                        trim("{$source->title}, {$source->cohort}", ', '), $source->fullText(),
                    ]
                )->all()
            ),
            $by,
        );
    }

    public function takeOut(WritingText $text, string $reason, User $by): void
    {
        DB::transaction(function () use ($text, $reason, $by): void {
            $baseline = WritingBaseline::query()->lockForUpdate()->findOrFail($text->writing_baseline_id);
            if ($text->refresh()->taken_out_version !== null) {
                return;
            }
            $baseline->update(['version' => $baseline->version + 1]);
            $text->update(['taken_out_version' => $baseline->version, 'taken_out_reason' => $reason]);
            $this->logbook->write(
                Entry::of(LogEvent::BaselineTaken)->in($baseline->module)->with(version: $baseline->version)
                    ->saying(title: $baseline->name)->because($reason)->by($by)
            );
            WorkOutBaseline::dispatch($baseline->id)->afterCommit();
        });
    }

    /**
     * @param  list<array{string, string}>  $texts  title and text
     * @return array{added: int, already: int}
     */
    private function add(WritingBaseline $baseline, array $texts, User $by): array
    {
        return DB::transaction(function () use ($baseline, $texts, $by): array {
            $stored = WritingBaseline::query()->lockForUpdate()->findOrFail($baseline->id);
            $version = $stored->version + 1;
            $outcome = ['added' => 0, 'already' => 0];
            $known = WritingText::query()->where('writing_baseline_id', $stored->id)
                ->get(['id', 'sha256', 'taken_out_version'])->keyBy('sha256');
            foreach ($texts as [$title, $text]) {
                $sum = hash('sha256', $text);
                $there = $known->get($sum);
                if ($there !== null && $there->taken_out_version === null) {
                    $outcome['already']++;

                    continue;
                }
                $known[$sum] = WritingText::query()->updateOrCreate([
                    'writing_baseline_id' => $stored->id, 'sha256' => $sum,
                ], [
                    'title' => mb_substr($title, 0, 300), 'text' => $text, 'words' => Prose::of($text)->count(),
                    'added_version' => $version, 'taken_out_version' => null, 'taken_out_reason' => null,
                    'added_by' => $by->id, 'turn' => null,
                ]);
                $outcome['added']++;
            }
            if ($outcome['added'] > 0) {
                $stored->update(['version' => $version]);
                $this->logbook->write(
                    Entry::of(LogEvent::BaselineAdded)->in($stored->module)
                        ->with(added: $outcome['added'], version: $version)->saying(title: $stored->name)->by($by)
                );
                WorkOutBaseline::dispatch($stored->id)->afterCommit();
            }

            return $outcome;
        });
    }
}
