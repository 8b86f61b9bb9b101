<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Jobs\WorkOutBaselineJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Models\WritingText;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Writing\Prose;

/**
 * Adds texts to a baseline: a new version, worked out anew. What is in it already is not added again.
 */
final class AddToBaseline
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  list<array{string, string}>  $texts  title and text
     * @return array{added: int, already: int}
     */
    public function __invoke(WritingBaseline $baseline, array $texts, User $by): array
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
                WorkOutBaselineJob::dispatch($stored->id)->afterCommit();
            }

            return $outcome;
        });
    }
}
