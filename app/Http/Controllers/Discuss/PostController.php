<?php

declare(strict_types=1);

namespace App\Http\Controllers\Discuss;

use App\Actions\Discuss\ChangePost;
use App\Actions\Discuss\FlagPost;
use App\Actions\Discuss\HidePost;
use App\Actions\Discuss\MarkUnread;
use App\Actions\Discuss\MovePost;
use App\Actions\Discuss\NoteTopicRead;
use App\Actions\Discuss\PinPost;
use App\Actions\Discuss\TakeBackPost;
use App\Actions\Discuss\WritePost;
use App\Discussion\DiscussionReader;
use App\Http\Controllers\Controller;
use App\Http\Requests\Discuss\ChangePostRequest;
use App\Http\Requests\Discuss\FlagPostRequest;
use App\Http\Requests\Discuss\HidePostRequest;
use App\Http\Requests\Discuss\MovePostRequest;
use App\Http\Requests\Discuss\PostRequest;
use App\Models\Post;
use App\Models\PostFile;
use App\Models\Topic;
use App\Notices\Notices;
use App\Queries\Discuss\TopicPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/**
 * One post: writing it, changing it, taking it back; what readers and staff do with it.
 */
final class PostController extends Controller
{
    public function store(PostRequest $request, Topic $topic, WritePost $write): RedirectResponse|JsonResponse
    {
        $post = $write(
            $topic, $request->person(), $request->text(), $request->answered(), $request->attached(),
            $request->has('room') ? (string) $request->input('room') : null,
            $request->filled('once') ? $request->string('once')->lower()->toString() : null,
        );

        return $request->expectsJson()
            ? response()->json(['to' => $this->place($post)])
            : redirect()->to($this->place($post))->with('said', __('discuss.said.posted'));
    }

    /** Leads to where a post stands now. */
    public function show(Request $request, Post $post, Notices $notices): RedirectResponse
    {
        $this->authorize('view', $post);
        $notices->readAt($this->person($request)->id, route('posts.show', $post, false));

        return redirect()->to($this->place($post));
    }

    public function edit(Request $request, Post $post): View
    {
        $this->authorize('change', $post);

        return view('discuss.edit', ['post' => $post, 'topic' => $post->topic, 'theirs' => null, 'text' => $post->text]);
    }

    public function update(ChangePostRequest $request, Post $post, ChangePost $change): View|RedirectResponse
    {
        $changed = $change($post, $request->person(), $request->text(), $request->integer('seen'));
        if ($changed === null) {
            $now = $post->refresh();

            return view('discuss.edit', ['post' => $now, 'topic' => $now->topic, 'theirs' => $now->text, 'text' => $request->text()]);
        }

        return redirect()->to($this->place($changed))->with('said', __('discuss.said.changed'));
    }

    public function takeBack(Post $post, TakeBackPost $back): RedirectResponse
    {
        $this->authorize('change', $post);
        $back($post);

        return redirect()->to($this->place($post))->with('said', __('discuss.said.taken_back'));
    }

    public function hide(HidePostRequest $request, Post $post, HidePost $hide): RedirectResponse
    {
        $hide($post, $request->person(), $request->reason());

        return redirect()->to($this->place($post))
            ->with('said', __($request->reason() === null ? 'discuss.said.shown' : 'discuss.said.hidden'));
    }

    public function pin(Request $request, Post $post, PinPost $pin): RedirectResponse
    {
        $this->authorize('coordinate', $post);
        $pin($post, $request->boolean('pinned'));

        return redirect()->route('topics.show', [$post->topic, ...$this->room($post)])
            ->with('said', __($request->boolean('pinned') ? 'discuss.said.pinned' : 'discuss.said.unpinned'));
    }

    public function move(MovePostRequest $request, Post $post, MovePost $move): RedirectResponse
    {
        $move($post, $request->topic(), $request->person());

        return redirect()->to($this->place($post->refresh()))->with('said', __('discuss.said.moved'));
    }

    public function flag(FlagPostRequest $request, Post $post, FlagPost $flag): RedirectResponse
    {
        $flag($post, $request->person(), $request->string('reason')->trim()->toString());

        return redirect()->to($this->place($post))->with('said', __('discuss.said.flagged'));
    }

    public function unread(Request $request, Post $post, MarkUnread $mark): RedirectResponse
    {
        $this->authorize('view', $post);
        $mark($post, $this->person($request));

        return redirect()->route('discussion.show', $post->topic->assignment)->with('said', __('discuss.said.unread'));
    }

    /** Further replies of a thread. */
    public function replies(Request $request, Post $post, NoteTopicRead $note): View
    {
        $this->authorize('view', $post);
        $post->isReply() && abort(404);
        $person = $this->person($request);
        $reader = DiscussionReader::of($person, $post->topic->assignment);
        $replies = TopicPage::further($reader, $post, $request->integer('after'));
        $before = $note($post->topic, $person, (int) $replies->max('id'));

        return view('discuss.replies', [
            'assignment' => $post->topic->assignment, 'thread' => $post->refresh(), 'replies' => $replies,
            'reader' => $reader, 'topic' => $post->topic, 'unread' => 0,
            'readTo' => $request->has('new') ? 0 : $before, 'coordinates' => $person->can('coordinate', $post->topic),
        ]);
    }

    public function file(PostFile $file): AnyResponse
    {
        $this->authorize('take', [$file->post, $file]);
        abort_unless(Storage::exists($file->path), 404);

        return Storage::response($file->path, $file->isPicture() ? null : $file->name, [
            'Content-Type' => $file->mime, 'X-Content-Type-Options' => 'nosniff', 'Cache-Control' => 'private, max-age=86400',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
        ], $file->isPicture() ? 'inline' : 'attachment');
    }

    private function place(Post $post): string
    {
        $thread = $post->thread ?? $post;

        return route('topics.show', [$post->topic, 'thread' => $thread->public_id])."#p-{$post->public_id}";
    }

    /**
     * @return array<string, string>
     */
    private function room(Post $post): array
    {
        return $post->room === '' ? [] : ['room' => $post->room];
    }
}
