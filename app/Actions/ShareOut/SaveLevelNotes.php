<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\LevelNote;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Keeps how the levels are meant, criterion by criterion.
 */
final class SaveLevelNotes
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  array<string, string>  $notes  by criterion
     * @param  array<string, string>  $seen  what the form held when it was opened
     * @return list<string> criteria on which someone else wrote meanwhile: their words stay
     */
    public function __invoke(Assignment $assignment, array $notes, array $seen, User $by): array
    {
        return DB::transaction(function () use ($assignment, $notes, $seen, $by): array {
            $stored = LevelNote::query()->where('assignment_id', $assignment->id)->lockForUpdate()->get()
                ->keyBy('criterion');
            $clashes = [];
            $changed = [];
            foreach ($notes as $criterion => $text) {
                $now = (string) $stored->get($criterion)?->text;
                if ($text === $now || $text === ($seen[$criterion] ?? '')) {
                    continue;
                }
                if ($now !== ($seen[$criterion] ?? '')) {
                    $clashes[] = $criterion;

                    continue;
                }
                LevelNote::query()->updateOrCreate(
                    ['assignment_id' => $assignment->id, 'criterion' => $criterion],
                    ['text' => $text, 'saved_by' => $by->id],
                );
                $changed[] = $criterion;
            }
            if ($changed !== []) {
                $this->logbook->write(
                    Entry::of(LogEvent::LevelsAgreed)->on($assignment)->with(criteria: count($changed))->by($by)
                );
            }

            return $clashes;
        });
    }
}
