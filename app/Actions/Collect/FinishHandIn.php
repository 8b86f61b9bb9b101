<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Events\CountingAttemptChanged;
use App\Events\HandinRead;
use App\Extraction\Refusal;
use App\Handins\KeptPiece;
use App\Handins\WorkReader;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\CouldNotBeRead;
use App\Models\Handin;
use App\Models\HandinFile;
use App\Models\OverlapReport;
use App\Models\Script;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Overlap\PartsOfLength;
use YoungHarbor\Core\Text\Words;

/**
 * Reads what was handed in, once for a whole group, and has begun what follows. What cannot be read does not count: the
 * attempt that counted before does again, and each student whose work it is is told why and what to do.
 */
final class FinishHandIn
{
    public function __construct(
        private readonly WorkReader $read,
        private readonly Logbook $logbook,
    ) {
    }

    /**
     * @param  list<int>  $ids  one for each member of the group, of the same files
     */
    public function __invoke(array $ids): void
    {
        $handins = $this->unread($ids)->with('files', 'script.student', 'script.assignment')->get();
        $first = $handins->first();
        if ($first === null) {
            return;
        }
        $kept = array_values($first->files->map(fn (HandinFile $file) => KeptPiece::of($file))->all());
        assert($kept !== []);
        try {
            $work = $this->read->read(array_values(
                $handins->map(fn (Handin $handin) => $handin->script->student)->all()
            ), $kept, function (int $n) use ($ids): void {
                $this->unread($ids)->update(['files_read' => $n]);
            });
        } catch (Refusal $e) {
            $this->refuse($ids, mb_substr($e->getMessage(), 0, 600));

            return;
        }
        $parts = PartsOfLength::of(
            Words::of($work->text), array_values(array_filter(array_column($work->hidden, 'words'), is_string(...))),
        );
        DB::transaction(function () use ($ids, $work, $parts): void {
            foreach ($this->locked($ids) as $handin) {
                $handin->update([
                    'words' => $work->words, 'hidden_words' => $parts['hidden'], 'quoted_words' => $parts['quotations'],
                    'bibliography_words' => $parts['bibliography'], 'text' => $work->text, 'html' => $work->html,
                    'notes' => $work->notes, 'identity' => $work->identity, 'hidden' => $work->hidden,
                    'read_at' => now(), 'files_read' => count($work->pieces),
                    // Only pages and pictures have to be looked through.
                    'prepared_at' => $work->isLookedThrough() ? now() : null,
                ]);
                foreach ($work->pieces as $n => $piece) {
                    $handin->files->where('position', $n + 1)->each->update(['words' => $piece->words]);
                }
                HandinRead::dispatch($handin);
            }
        });
    }

    /**
     * @param  list<int>  $ids
     */
    private function refuse(array $ids, string $why): void
    {
        DB::transaction(function () use ($ids, $why): void {
            $handins = $this->locked($ids);
            foreach ($handins as $handin) {
                $handin->update(['unreadable' => $why, 'read_at' => now(), 'prepared_at' => now()]);
                $script = $handin->script;
                if ($script->current_handin_id === $handin->id) {
                    OverlapReport::query()->where('handin_id', $handin->id)->delete();
                    $this->letAnotherCount($script);
                }
                Mail::to($script->student->email)->queue((new CouldNotBeRead($handin))->afterCommit());
            }
            CountingAttemptChanged::dispatch(array_values($handins->pluck('script_id')->all()));
            $first = $handins->first();
            $first === null
                || $this->logbook->write(
                    Entry::of(LogEvent::CouldNotBeRead)->on($first->script->assignment)
                        ->with(attempt: $first->attempt, sha256: $first->sha256)
                );
        });
    }

    /** The last attempt in time that can be read or is still to be read, else the first of the late ones. */
    private function letAnotherCount(Script $script): void
    {
        $others = $script->handins()->whereNull('unreadable')->orderBy('attempt')->get();
        $other = $others->last(fn (Handin $handin) => ! $handin->late) ?? $others->first();
        if ($other === null) {
            $script->update(['current_handin_id' => null, 'received_at' => null, 'late' => false]);

            return;
        }
        $script->letCount($other);
        $other->read_at === null || HandinRead::dispatch($other->setRelation('script', $script));
    }

    /**
     * @param  list<int>  $ids
     * @return \Illuminate\Database\Eloquent\Builder<Handin>
     */
    private function unread(array $ids): \Illuminate\Database\Eloquent\Builder
    {
        return Handin::query()->whereKey($ids)->whereNull('read_at')->orderBy('id');
    }

    /**
     * The scripts first, in the order in which handing in takes them.
     *
     * @param  list<int>  $ids
     * @return Collection<int, Handin>
     */
    private function locked(array $ids): Collection
    {
        $scripts = Script::query()->whereIn('id', Handin::query()->whereKey($ids)->select('script_id'))
            ->with('assignment', 'student')->orderBy('id')->lockForUpdate()->get()->keyBy('id');

        return $this->unread($ids)->with('files')->lockForUpdate()->get()
            ->each(fn (Handin $handin) => $handin->setRelation('script', $scripts[$handin->script_id]));
    }
}
