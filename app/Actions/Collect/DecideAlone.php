<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Actions\Screen\AwaitMeasuring;
use App\Documents\HandinCopies;
use App\Exceptions\Refused;
use App\Extraction\AuthorTraces;
use App\Extraction\FileKind;
use App\Extraction\HtmlTree;
use App\Handins\WorkReader;
use App\Jobs\CompareHandinJob;
use App\Jobs\PrepareHandinJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\OverlapReport;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Html;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Document\NodeKind;

/**
 * What a coordinator decides of a family name that stands alone in a script, where it may be a source's or its author's:
 * it is left, or hidden everywhere in it. What was hidden is compared again, since its words have moved.
 */
final class DecideAlone
{
    public const HIDDEN = 'hidden';

    public const LEFT = 'left';

    public function __construct(
        private readonly HtmlTree $tree,
        private readonly HandinCopies $copies,
        private readonly Logbook $logbook,
        private readonly AwaitMeasuring $measure,
    ) {
    }

    /**
     * @throws Refused when a marker has begun
     */
    public function __invoke(Script $script, bool $hide, User $by): void
    {
        DB::transaction(function () use ($script, $hide, $by): void {
            $script = Script::query()->lockForUpdate()->with('assignment')->findOrFail($script->id);
            $handin = Handin::query()->whereKey($script->current_handin_id)->lockForUpdate()->with('files')
                ->firstOrFail();
            if (
                $hide
                && Mark::query()->where('script_id', $script->id)
                    ->where(fn ($mark) => $mark->whereNotNull('begun_at')->orWhereNotNull('done_at'))->exists()
            ) {
                throw new Refused(
                    "A marker has begun {$script->code}, and its comments stand at their places in the text, so nothing in it is hidden any more."
                );
            }
            $hide
                ? $this->hide($script, $handin, $by)
                : $handin->update(['alone' => self::LEFT, 'alone_by' => $by->id]);
            $this->logbook->write(Entry::of($hide ? LogEvent::NameHidden : LogEvent::NameLeft)->on($script)->by($by));
        });
    }

    private function hide(Script $script, Handin $handin, User $by): void
    {
        $authors = $script->assignment->handin_by->isGroup()
            ? $script->group()->map(fn (Script $mate) => $mate->student)
            : [$script->student];
        $masking = Masking::of($this->tree->ofOurs($handin->html), WorkReader::masks($authors), lone: true);
        $findings = new AuthorTraces($handin->identity);
        $findings->forget(AuthorTraces::ALONE);
        $findings->add(AuthorTraces::TEXT, AuthorTraces::HIDDEN, $masking->hidden);
        $handin->update(
            [
                'html' => Html::ofText($masking->document), 'text' => $this->text($masking->document, $handin),
                'identity' => $findings->all(), 'alone' => self::HIDDEN, 'alone_by' => $by->id,
            ]
        );
        $this->copies->forget($handin);
        // Pages that still show it are no longer shown.
        $handin->files()->update(['pages_path' => null, 'pages' => null]);
        PrepareHandinJob::dispatch($handin->id)->afterCommit();
        OverlapReport::query()->updateOrCreate(
            ['handin_id' => $handin->id], ['state' => 'waiting', 'failure' => null, 'compared' => 0, 'to_compare' => 0],
        );
        CompareHandinJob::dispatch($handin->id)->afterCommit();
        ($this->measure)($script->assignment, $handin);
    }

    /** As it is compared: without the headings that part several files, and without what only leads elsewhere. */
    private function text(Document $document, Handin $handin): string
    {
        if ($handin->files->count() === 1) {
            return $document->text();
        }
        $links = $handin->files->where('kind', FileKind::Link->value)->count();
        $said = 'A link was handed in: open it above.';

        return $document->map(function (Node|string $part) use ($links, $said): Node|string|null {
            $is = fn (string $pattern): bool => $part instanceof Node && is_string($part->content[0] ?? null)
                && preg_match($pattern, $part->content[0]) === 1;

            return ($part instanceof Node && $part->kind === NodeKind::Heading2 && $is('/\AFile \d+\z/'))
                || ($links > 0 && $is('/\A'.preg_quote($said, '/').'\z/'))
                ? null
                : $part;
        })->text();
    }
}
