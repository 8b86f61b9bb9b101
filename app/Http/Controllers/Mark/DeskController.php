<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\AgreeWithFirst;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\ReopenMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Mark\SaveDeskSettings;
use App\Actions\Mark\SetAside;
use App\Actions\Mark\TakeUpFirst;
use App\Actions\Mark\TakeUpTogether;
use App\Desk\Beside;
use App\Desk\BesideRatings;
use App\Desk\DeskKeys;
use App\Desk\DeskMark;
use App\Desk\DeskQueue;
use App\Desk\DeskState;
use App\Documents\HandinCopies;
use App\Exceptions\Refused;
use App\Handins\WorkReader;
use App\Http\Controllers\Controller;
use App\Http\Requests\Mark\AgreeRequest;
use App\Http\Requests\Mark\ChoiceRequest;
use App\Http\Requests\Mark\CommentRequest;
use App\Http\Requests\Mark\DeskSettingsRequest;
use App\Http\Requests\Mark\SetAsideRequest;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Handin;
use App\Models\HandinFile;
use App\Models\LevelNote;
use App\Models\Mark;
use App\Models\User;
use App\Queries\Discuss\LaterPosts;
use App\Queries\Observe\SeenRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Text\CommentKind;

/**
 * The desk: one script and the rubric side by side. Everything is saved as it is chosen or typed.
 */
final class DeskController extends Controller
{
    private const LATELY = 10;

    public function show(
        Request $request, Mark $mark, DeskQueue $queue, DeskState $state, HandinCopies $copies,
    ): View|RedirectResponse {
        if ($mark->isStudents() && $mark->peerReview !== null) {
            return redirect()->route('peer-reviews.desk', $mark->peerReview);
        }
        $with = DeskMark::of($mark);
        $this->authorize('open', $mark);
        $person = $this->person($request);
        $mark->handin->load('files');
        $score = $mark->score();
        $rubric = $mark->rubric();
        $filter = DeskQueue::filter($request->query());
        // A later attempt would tell that something came in after the due time.
        $attempts = $mark->handin->attempt === 1 ? new Collection([$mark->handin])
            : Handin::query()->where('script_id', $mark->script_id)->where('attempt', '<=', $mark->handin->attempt)
                ->orderBy('attempt')->get(['id', 'script_id', 'attempt', 'words']);
        $sets = BankSet::of($person, $mark->script->assignment->module_id)->get();
        $attempt = $request->has('attempt')
            ? $attempts->firstWhere('attempt', $request->integer('attempt'))?->refresh()->load('files') ?? abort(404)
            : $mark->handin;
        $files = $this->files($mark);

        return view('mark.desk', [
            'mark' => $mark, 'script' => $mark->script, 'assignment' => $mark->script->assignment,
            'attempts' => $attempts, 'attempt' => $attempt, 'filter' => $filter,
            'rubric' => $rubric, 'score' => $score, 'queue' => $queue->around($mark, $filter), 'files' => $files,
            'attachments' => $with->hasAttachments ? $state->attachments($mark) : new Collection,
            'working' => ScoreWorking::of($score, $rubric->weighting, $rubric->decimals),
            'keys' => DeskKeys::of($person), 'declaration' => $this->declaration($mark),
            'levelNotes' => $with->hasLevelNotes ? LevelNote::query()
                ->where('assignment_id', $mark->script->assignment_id)->where('text', '!=', '')->get() : new Collection,
            'beside' => $beside = Beside::of($mark), 'besideNotes' => $this->notesBeside($beside, $state),
            'waiting' => Beside::isWaiting($mark), 'ratings' => $with->hasRounds ? BesideRatings::of($mark) : [],
            'records' => $mark->script->assignment->isObserved() ? [SeenRecord::ofMark($mark, false, recordings: true)] : [],
            'later' => $with->hasLaterPosts ? LaterPosts::of($mark) : null,
            'copies' => $copies->kinds($mark->handin),
            'together' => $with->hasTogether ? $mark->madeTogether() : null,
            'sets' => $this->sets($sets),
            'config' => $this->config(
                $mark, $person, $state, $sets, $rubric->criteria, $attempt->id === $mark->work_id ? $files : [],
                $attempt->id !== $mark->work_id,
            ),
        ]);
    }

    public function choose(
        ChoiceRequest $request, Mark $mark, string $criterion, SaveChoice $save,
    ): View|RedirectResponse {
        $found = $mark->rubric()->criterion($criterion) ?? abort(404);
        try {
            $saved = $save(
                $mark, $criterion,
                MarkForm::mark(
                    $found,
                    $request->only(
                        ['stop', 'points', 'own_points', 'own_reason', 'comment', 'done', 'partly', 'none', 'na']
                    ),
                ),
            );
        } catch (InvalidInput $e) {
            throw new Refused(
                implode('; ', array_map(fn (Fault $fault) => (string) $fault, $e->faults)).'. Nothing was changed.'
            );
        }

        return $this->saved($request, $saved);
    }

    public function comment(CommentRequest $request, Mark $mark, ChangeMark $change): View|RedirectResponse
    {
        $fields = $request->validated();
        $saved = $change($mark, function (Mark $stored) use ($fields): void {
            $stored->fill(array_map(fn (?string $text) => (string) $text, $fields));
        });

        return $this->saved($request, $saved);
    }

    public function done(Request $request, Mark $mark, FinishMark $finish, DeskQueue $queue): RedirectResponse
    {
        $this->authorize('open', $mark);
        $finish($mark);
        $filter = DeskQueue::filter($request->query());
        $next = $queue->nextOpen($mark, $filter);

        return (
            $next === null
                ? redirect()->route('mark.index', $mark->script->assignment)
                : redirect()->route('mark.desk', [$next, ...$filter])
        )
            ->with('said', "{$mark->script->code} is done.".($next === null ? ' Nothing is left in your queue.' : ''));
    }

    /** The checker agrees with the first mark, in one step. */
    public function agree(AgreeRequest $request, Mark $mark, AgreeWithFirst $agree, DeskQueue $queue): RedirectResponse
    {
        $agree($mark, $request->integer('seen'));
        $filter = DeskQueue::filter($request->query());
        $next = $queue->nextOpen($mark, $filter);

        return (
            $next === null
                ? redirect()->route('mark.index', $mark->script->assignment)
                : redirect()->route('mark.desk', [$next, ...$filter])
        )->with('said', "You agreed with the first mark of {$mark->script->code}.");
    }

    /** The checker begins from what the first mark set. */
    public function takeFirst(Mark $mark, TakeUpFirst $takeUp): RedirectResponse
    {
        $this->authorize('open', $mark);
        $takeUp($mark);

        return redirect()->route('mark.desk', $mark)->with(
            'said', 'The rails stand where the first marker set them. Change what you see differently, and say why.',
        );
    }

    /**
     * @param  Collection<int, Mark>  $beside
     * @return array<string, array<string, array<string, mixed>>> comments by seat and id
     */
    private function notesBeside(Collection $beside, DeskState $state): array
    {
        return array_merge(
            [], ...$beside->map(fn (Mark $mark) => [$mark->seat->value => $state->notesInOrder($mark)])->all(),
        );
    }

    public function reopen(Mark $mark, ReopenMark $reopen): RedirectResponse
    {
        $this->authorize('open', $mark);
        $reopen($mark);

        return redirect()->route('mark.desk', $mark)
            ->with('said', 'Open again. It counts as not done until you say so.');
    }

    public function aside(SetAsideRequest $request, Mark $mark, SetAside $setAside, DeskQueue $queue): RedirectResponse
    {
        if ($request->boolean('back')) {
            $setAside($mark, null);

            return redirect()->route('mark.desk', $mark)->with('said', 'Taken up again.');
        }
        $fields = $request->validated();
        $setAside($mark, trim($fields['reason']));
        $next = $queue->nextOpen($mark);

        return (
            $next === null
                ? redirect()->route('mark.index', $mark->script->assignment)
                : redirect()->route('mark.desk', $next)
        )->with('said', "{$mark->script->code} is set aside.");
    }

    public function together(Mark $mark, TakeUpTogether $takeUp): RedirectResponse
    {
        $this->authorize('open', $mark);
        $takeUp($mark);

        return redirect()->route('mark.desk', $mark)
            ->with(
                'said', 'Begun from the mark you made when all marked together. Change what you see differently now.',
            );
    }

    /** The rubric as a whole, with what is chosen. */
    public function rubric(Mark $mark): View
    {
        $this->authorize('write', $mark);

        return view(
            'components.rubric-view',
            ['rubric' => $mark->rubric(), 'points' => true, 'choices' => $mark->choices],
        );
    }

    /** What its marker set on one criterion lately, to compare with. */
    public function lately(Mark $mark, string $criterion): View
    {
        $this->authorize('open', $mark);
        $found = $mark->rubric()->criterion($criterion) ?? abort(404);
        $marks = Mark::query()->where('marker_id', $mark->marker_id)->where('assignment_id', $mark->assignment_id)
            ->whereNull('handed_over_at')->whereKeyNot($mark->id)->where('rubric_version_id', $mark->rubric_version_id)
            ->whereRaw('JSON_CONTAINS_PATH(choices, "one", ?)', ['$."'.addcslashes($criterion, '"\\').'"'])
            ->with('script:id,code')->orderByRaw('COALESCE(touched_at, updated_at) DESC')->limit(self::LATELY)
            ->get();

        return view('mark.lately', ['criterion' => $found, 'lines' => $marks->map(fn (Mark $one) => [
            'mark' => $one,
            'points' => ($points = $one->score()->line($criterion)?->points) === null ? '' : Figure::plain($points),
            'words' => MarkForm::inWords($found, $one->choices->on($criterion)),
            'comment' => $one->choices->on($criterion)->comment,
        ])]);
    }

    public function settings(DeskSettingsRequest $request, SaveDeskSettings $save): Response
    {
        $fields = $request->validated();
        $save($request->person(), $fields['keys'] ?? null, isset($fields['side']) ? (int) $fields['side'] : null);

        return response()->noContent();
    }

    private function saved(Request $request, Mark $mark): View|RedirectResponse
    {
        if ($request->header('HX-Request') === null) {
            return redirect()->route('mark.desk', $mark);
        }
        $rubric = $mark->rubric();
        $score = $mark->score();

        return view(
            'mark.total',
            [
                'mark' => $mark, 'rubric' => $rubric, 'score' => $score,
                'working' => ScoreWorking::of($score, $rubric->weighting, $rubric->decimals), 'saved' => now(),
            ],
        );
    }

    /**
     * @param  Collection<int, BankSet>  $sets
     * @param  list<Criterion>  $criteria
     * @param  list<array{number: int, url: string}>  $files
     * @return array<string, mixed>
     */
    private function config(
        Mark $mark, User $person, DeskState $state, Collection $sets, array $criteria, array $files, bool $earlier,
    ): array {
        return [
            'kinds' => array_map(
                fn (string $key) => __("mark.comment_kind.{$key}"),
                array_combine(CommentKind::keys(), CommentKind::keys()),
            ),
            'code' => $mark->script->code, 'earlier' => $earlier, 'state' => $state->of($mark), 'place' => $mark->place,
            'keys' => DeskKeys::of($person), 'side' => $person->desk['side'] ?? null,
            'criteria' => (object) array_combine(
                array_map(fn (Criterion $one) => $one->id(), $criteria),
                array_map(fn (Criterion $one) => $one->title(), $criteria),
            ),
            'sync' => route('mark.sync', $mark), 'news' => route('mark.news', $mark),
            'token' => route('mark.token', $mark), 'settings' => route('mark.settings'),
            'attachments' => route('attachments.store', $mark), 'bankUsed' => route('bank.comments.used', 'ENTRY'),
            'voiceSeconds' => (int) config('harbor.voice.seconds'), 'files' => $files,
            'bank' => $this->bank($sets),
        ];
    }

    /**
     * The pages there are to look at: of PDFs, drawn anew without names.
     *
     * @return list<array{number: int, url: string}>
     */
    private function files(Mark $mark): array
    {
        return array_values($mark->handin->files->filter(fn (HandinFile $file) => $file->pages_path !== null)
            ->map(
                fn (HandinFile $file) => [
                    'number' => $file->position, 'url' => route('mark.pages', [$mark, $file->position]),
                ]
            )->all());
    }

    /**
     * What was declared with the work, the authors' names taken out.
     *
     * @return list<array{label: string, answer: string}>
     */
    private function declaration(Mark $mark): array
    {
        $declared = $mark->handin->declaration ?? [];
        if ($declared === []) {
            return [];
        }
        $masks = WorkReader::masks($mark->script->group()->map(fn ($script) => $script->student));

        return array_map(
            fn (array $one) => [
                'label' => $one['label'],
                'answer' => Mask::hideAll($masks, $one['answer']),
            ],
            $declared,
        );
    }

    /**
     * @param  Collection<int, BankSet>  $sets
     * @return list<array<string, mixed>>
     */
    private function bank(Collection $sets): array
    {
        $titled = $sets->keyBy('id');
        $comments = $sets->isEmpty() ? [] : BankComment::query()->whereIn('bank_set_id', $titled->keys())->get()->all();

        return array_values(
            array_map(
                fn (BankComment $one) => $one->setRelation('set', $titled[$one->bank_set_id])->forDesk(), $comments,
            )
        );
    }

    /**
     * @param  Collection<int, BankSet>  $sets
     * @return array<string, string>
     */
    private function sets(Collection $sets): array
    {
        return [
            ...$sets->mapWithKeys(
                fn (BankSet $set) => [
                    $set->public_id => $set->title.($set->module_id === null ? ' (yours)' : ' (the team’s)'),
                ]
            )->all(),
            'own' => 'a new set of your own', 'team' => 'a new set of the team',
        ];
    }
}
