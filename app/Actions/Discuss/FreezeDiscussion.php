<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Actions\Collect\Concerns\KeepsAttempts;
use App\Discussion\FrozenWorks;
use App\Documents\Receipts;
use App\Events\CountingAttemptChanged;
use App\Handins\UploadedPiece;
use App\Jobs\ReadHandinJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\HandedIn;
use App\Models\Handin;
use App\Models\OverlapReport;
use App\Models\Participation;
use App\Models\Script;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Storage;

/**
 * Freezes what one student wrote until the discussion closed for them, as an attempt like any that is handed in:
 * sealed,
 * with a receipt, read, compared, shared out and marked as such. It came in when its first piece was posted: what is
 * due
 * at the due time is a first post. Later closes, as more time brings them, freeze anew until a marker has it.
 */
final class FreezeDiscussion
{
    use KeepsAttempts;

    public function __construct(
        private readonly FrozenWorks $works, private readonly Receipts $receipts, private readonly Logbook $logbook,
    ) {
    }

    /**
     * @return Handin|null null when there is nothing new to freeze
     */
    public function __invoke(int $scriptId): ?Handin
    {
        return DB::transaction(function () use ($scriptId): ?Handin {
            $script = Script::query()->with('assignment.module', 'student')->withMax('handins', 'attempt')->lockForUpdate()
                ->findOrFail($scriptId);
            $closes = $script->closesDiscussionAt();
            $own = Participation::query()->whereKey($script->id)->lockForUpdate()->first();
            if ($own === null || $closes === null || $closes->isFuture() || (
                $own->frozen_for?->gte($closes) ?? false
            )) {
                return null;
            }
            $posts = $this->works->posts($script, $closes);
            $last = $script->currentHandin;
            $isMarked = $last !== null && Script::areWithMarkers($script->newCollection([$script]));
            $pieces = $posts->isEmpty() || $isMarked ? [] : $this->works->pieces($script, $posts);
            $handin = null;
            if ($pieces !== [] && $last?->files->first()?->sha256 !== $pieces[0]->sha256()) {
                $handin = $this->freeze($script, $pieces, $posts->firstOrFail()->created_at);
            }
            $own->update([
                'frozen_for' => $closes,
                ...($isMarked ? [] : ['frozen_at' => now(), 'frozen_to' => $posts->last()->id ?? 0]),
            ]);

            return $handin;
        });
    }

    /**
     * @param  non-empty-list<UploadedPiece>  $pieces
     */
    private function freeze(Script $script, array $pieces, \Illuminate\Support\Carbon $first): Handin
    {
        $paths = array_map(fn (UploadedPiece $piece): string => $piece->store('handins'), $pieces);
        try {
            $handin = $this->keep($script, $script->student, $pieces, $paths, $first, null, null);
            $script->letCount($handin);
            OverlapReport::query()->create(['handin_id' => $handin->id]);
            CountingAttemptChanged::dispatch([$script->id]);
            Mail::to($script->student->email)->queue((new HandedIn($handin))->afterCommit());
            // By code: beside a name it would say who wrote in a discussion of how many pieces.
            $this->logbook->write(
                Entry::of(LogEvent::WorkFrozen)->on($script)->with(
                    attempt: $handin->attempt, sha256: $handin->sha256,
                )->by(null)
            );
            ReadHandinJob::dispatch([$handin->id], $script->student_id)->afterCommit();
        } catch (\Throwable $e) {
            Storage::delete($paths);
            throw $e;
        }

        return $handin;
    }
}
