<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\CloseThread;
use App\Actions\Release\RateFeedback;
use App\Actions\Release\ReadThreads;
use App\Actions\Release\SayInReply;
use App\Actions\Release\ShowMark;
use App\Actions\Release\WriteReflection;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\RateRequest;
use App\Http\Requests\Release\ReflectionRequest;
use App\Http\Requests\Release\ReplyRequest;
use App\Models\Assignment;
use App\Models\MarkComment;
use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\Result;
use App\Notices\Notices;
use App\Queries\Release\Replies;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/**
 * Replies of students to comments and criteria, and what markers answer; whether feedback was useful.
 */
final class ReplyController extends Controller
{
    public function store(ReplyRequest $request, Result $result, SayInReply $say): RedirectResponse
    {
        $about = $request->string('about')->toString();
        abort_unless($result->has($about), 422, 'There is nothing of that kind on this result.');
        $reply = $say(
            $result->script, $about, $request->string('body')->trim()->toString(), $request->attached(), $request->person(),
            $request->isSpoken(),
        );

        return redirect()->to(route('results.show', $result).'#thread-'.$reply->thread->public_id)
            ->with('said', __('replies.sent'));
    }

    public function rate(RateRequest $request, Result $result, RateFeedback $rate): RedirectResponse
    {
        $about = $request->string('about')->toString();
        abort_unless($result->has($about) && ! str_starts_with($about, 'criterion:'), 422);
        $rate($result, $about, $request->boolean('useful'));

        return redirect()->to(route('results.show', $result).($about === ReplyThread::WHOLE ? '#whole' : ''))
            ->with('said', __('replies.rated'));
    }

    /** A student writes about the feedback; that, or asking for it, lets a mark show that waited. */
    public function reflect(ReflectionRequest $request, Result $result, WriteReflection $write): RedirectResponse
    {
        $write($result, $request->texts());

        return redirect()->to(route('results.show', $result).'#reflection')->with('said', __('release.reflection_kept'));
    }

    public function showMark(Result $result, ShowMark $show): RedirectResponse
    {
        $this->authorize('read', $result);
        $show($result);

        return redirect()->route('results.show', $result);
    }

    /** What students replied to someone's comments; for coordinators all of an assignment. */
    public function index(Request $request, Assignment $assignment, Replies $replies): View
    {
        $this->authorize('viewMarking', $assignment);
        $person = $this->person($request);
        $threads = $replies->of($assignment, $person);

        return view('release.replies', [
            'assignment' => $assignment, 'threads' => $threads, 'reflections' => $replies->reflections($assignment, $person),
            'useful' => $replies->usefulOf($assignment, $person),
            'quotes' => MarkComment::query()->whereIn('public_id', $threads->map(
                fn (ReplyThread $thread) => $thread->comment(),
            )->filter())->pluck('body', 'public_id'),
            'rubric' => $assignment->rubricVersion?->toCore(),
        ]);
    }

    public function show(Request $request, ReplyThread $thread, ReadThreads $read, Notices $notices): View
    {
        $this->authorize('answer', $thread);
        $thread->load(['replies.author', 'script.assignment.module', 'script.lead.marks']);
        $thread->replies->each(fn (Reply $reply) => $reply->setRelation('thread', $thread));
        $person = $this->person($request);
        $read([$thread], $person);
        $notices->readAt($person->id, route('replies.show', $thread, false));

        $criteria = $thread->script->result->document['criteria'] ?? [];

        return view('release.thread', [
            'criterion' => array_column($criteria, null, 'id')[$thread->criterion() ?? ''] ?? null,
            'thread' => $thread, 'script' => $thread->script->leadScript(), 'assignment' => $thread->script->assignment,
            'comment' => MarkComment::query()->where('public_id', $thread->comment() ?? '')->first(), 'person' => $person,
        ]);
    }

    public function answer(ReplyRequest $request, ReplyThread $thread, SayInReply $say): RedirectResponse
    {
        $say(
            $thread->script, $thread->about, $request->string('body')->trim()->toString(), $request->attached(),
            $request->person(), $request->isSpoken(),
        );

        return redirect()->route('replies.show', $thread)->with('said', __('replies.answered'));
    }

    public function update(Request $request, ReplyThread $thread, CloseThread $close): RedirectResponse
    {
        $this->authorize('answer', $thread);
        $isClosing = $request->input('close') === '1';
        $close($thread, $isClosing, $this->person($request));

        return redirect()->route('replies.show', $thread)->with('said', __($isClosing ? 'replies.closed' : 'replies.opened'));
    }

    /** Sound is played, files are saved, never shown. */
    public function file(Reply $reply): AnyResponse
    {
        $this->authorize('readFile', [$reply->thread, $reply]);
        abort_if($reply->file_path === null, 404);

        return $reply->isSound()
            ? response()->file(Storage::path($reply->file_path), ['Content-Type' => $reply->file_mime])
            : Storage::download($reply->file_path, $reply->file_name, ['Content-Type' => 'application/octet-stream']);
    }
}
