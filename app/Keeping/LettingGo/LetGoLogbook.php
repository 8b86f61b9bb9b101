<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What lines of the logbook say: of each, its number, its time and the hash of what it said stay, so that the chain can
 * be walked as before. A line that is written says up to which number this was done; one that is empty further on is
 * found by whoever verifies. Lines by or about someone of whom everything is held stay.
 */
final readonly class LetGoLogbook implements LettingGoByAge
{
    private const AT_ONCE = 500;

    public function __construct(private Logbook $logbook)
    {
    }

    public function count(Carbon $before): int
    {
        return LogbookLine::query()->where('number', '<=', $this->last($before))->whereNull('content_hash')
            ->whereNotIn('number', $this->held())->count();
    }

    public function __invoke(Carbon $before): Gone
    {
        $last = $this->last($before);
        $gone = 0;
        LogbookLine::query()->where('number', '<=', $last)->whereNull('content_hash')
            ->whereNotIn('number', $this->held())->with('words')
            ->chunkById(self::AT_ONCE, function (Collection $lines) use (&$gone): void {
                $hashes = $lines->keyBy('number')->map(fn (LogbookLine $line) => $line->toCore()->contentHash())
                    ->filter();
                DB::table('logbook_texts')->whereIn('number', $hashes->keys())->delete();
                DB::table('logbook_lines')->upsert($lines->whereIn('number', $hashes->keys())->map(
                    fn (LogbookLine $line) => [
                        'number' => $line->number, 'at' => $line->at, 'hash' => $line->hash, 'actor' => null, 'module' => null,
                        'assignment' => null, 'event' => LogEvent::LineLetGo->value, 'subject_kind' => null, 'subject' => null,
                        'details' => '[]', 'texts' => '[]', 'content_hash' => $hashes[$line->number],
                    ],
                )->values()->all(), ['number']);
                $gone += $hashes->count();
            }, 'number');
        $gone === 0 || $this->logbook->write(Entry::of(LogEvent::LogbookLetGo)->with(to: $last, found: $gone));

        return new Gone(['lines' => $gone]);
    }

    private function last(Carbon $before): int
    {
        return (int) DB::table('logbook_lines')->where('at', '<', $before->copy()->utc())->max('number');
    }

    /**
     * Numbers of lines by or about people who are held, or about their scripts.
     *
     * @return list<int>
     */
    private function held(): array
    {
        $people = User::query()->whereNotNull('hold_reason')->get(['id', 'public_id']);
        if ($people->isEmpty()) {
            return [];
        }
        $ids = $people->pluck('public_id')->all();
        $scripts = DB::table('scripts')->join('assignments', 'assignments.id', '=', 'scripts.assignment_id')
            ->whereIn('student_id', $people->modelKeys())->get(['scripts.code', 'assignments.public_id']);
        $lines = DB::table('logbook_lines')->whereIn('actor', $ids)
            ->orWhere(fn ($query) => $query->where('subject_kind', 'person')->whereIn('subject', $ids));
        foreach ($scripts as $script) {
            $lines->orWhere(fn ($query) => $query->where('assignment', $script->public_id)
                ->where('subject_kind', 'script')->where('subject', $script->code));
        }

        return array_values($lines->pluck('number')->map(intval(...))->all());
    }
}
