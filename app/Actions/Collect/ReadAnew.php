<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Actions\Screen\TakeOffShelf;
use App\Documents\HandinCopies;
use App\Events\HandinRead;
use App\Extraction\FileKind;
use App\Extraction\Refusal;
use App\Handins\KeptPiece;
use App\Handins\ReadPieces;
use App\Handins\WorkReader;
use App\Jobs\PrepareHandinJob;
use App\Models\Handin;
use App\Models\HandinFile;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Reads what someone and their groups handed in once more, so that all they are or were called is hidden in it, as long
 * as names are hidden at all. That it counts, when it came and its checksums stay. Where the text changes it is
 * compared and measured anew; pages of PDFs are drawn anew. What cannot be read this time stays as it was.
 */
final class ReadAnew
{
    public function __construct(
        private readonly WorkReader $read,
        private readonly TakeOffShelf $shelf,
        private readonly HandinCopies $copies,
    ) {
    }

    public function __invoke(User $person): void
    {
        $scripts = Script::query()->where('student_id', $person->id)
            ->whereHas('assignment', fn (Builder $assignment) => $assignment->whereNull('names_revealed_at'))
            ->get(['id', 'lead_id']);
        $handins = Handin::query()
            ->whereIn('script_id', $scripts->flatMap(fn (Script $one) => [$one->id, $one->lead_id])->filter())
            ->whereNotNull('read_at')->whereNull('erased_at')->whereNull('unreadable')
            ->with(['files', 'script.student', 'script.assignment'])->orderBy('id')->get()
            // What was written in a discussion is hidden by all who take part, when it is read.
            ->reject(fn (Handin $handin) => $handin->script->assignment->isDiscussion());
        foreach ($handins as $handin) {
            $this->one($handin);
        }
    }

    private function one(Handin $handin): void
    {
        $authors = $handin->script->assignment->handin_by->isGroup()
            ? $handin->script->group()->map(fn (Script $script) => $script->student)->all()
            : [$handin->script->student];
        $kept = array_values($handin->files->map(fn (HandinFile $file) => KeptPiece::of($file))->all());
        try {
            $work = $kept === [] ? null : $this->read->read(array_values($authors), $kept, fn () => null);
        } catch (Refusal) {
            $work = null;
        }
        // Pictures were looked through afterwards, and are others than those that were read.
        $plain = fn (string $html): string => (string) preg_replace('/<img [^>]*>/', '', $html);
        if ($work !== null && ($work->text !== $handin->text || $plain($work->html) !== $plain($handin->html))) {
            $this->replace($handin, $work);
        } elseif (str_contains($handin->html, '<img ') || $this->hasPages($handin)) {
            PrepareHandinJob::dispatch($handin->id);
        }
    }

    private function hasPages(Handin $handin): bool
    {
        return $handin->files->contains(fn (HandinFile $file) => $file->kind === FileKind::Pdf->value);
    }

    private function replace(Handin $handin, ReadPieces $work): void
    {
        $this->copies->forget($handin);
        DB::transaction(function () use ($handin, $work): void {
            $stored = Handin::query()->lockForUpdate()->findOrFail($handin->id);
            // By the words as they were, while they are still there.
            ($this->shelf)([$stored->id]);
            $stored->update([
                'text' => $work->text, 'html' => $work->html, 'identity' => $work->identity, 'hidden' => $work->hidden,
                'prepared_at' => $work->isLookedThrough() ? now() : null,
            ]);
            HandinRead::dispatch($stored);
        });
    }
}
