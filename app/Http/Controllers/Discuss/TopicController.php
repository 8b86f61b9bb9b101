<?php

declare(strict_types=1);

namespace App\Http\Controllers\Discuss;

use App\Actions\Discuss\CloseTopic;
use App\Actions\Discuss\FollowTopic;
use App\Actions\Discuss\MaskPosts;
use App\Actions\Discuss\NoteTopicRead;
use App\Discussion\DiscussionReader;
use App\Http\Controllers\Controller;
use App\Models\Post;
use App\Models\Topic;
use App\Notices\Notices;
use App\Queries\Discuss\DiscussionPage;
use App\Queries\Discuss\TopicPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * A topic: its threads, what has come since, following it, closing it.
 */
final class TopicController extends Controller
{
    public function show(
        Request $request, Topic $topic, NoteTopicRead $note, MaskPosts $mask, Notices $notices,
    ): View {
        $this->authorize('view', $topic);
        $person = $this->person($request);
        $topic->assignment->load('topics', 'module');
        $reader = DiscussionReader::of($person, $topic->assignment);
        $reader->seesNames() || $mask($topic->assignment);
        $rooms = $reader->rooms();
        $asked = $request->string('room')->toString();
        $room = in_array($asked, $rooms, true) ? $asked : $rooms[0] ?? '';
        $alone = $request->filled('thread') ? $this->thread($reader, $topic, $request->string('thread')->toString()) : null;
        $room = $alone->room ?? $room;
        $newest = (int) $reader->posts($topic, $room)->max('id');
        $before = $note($topic, $person, $newest);
        $page = TopicPage::of(
            $reader, $topic, $room, $before, $request->filled('before') ? $request->string('before')->toString() : null, $alone,
        );
        $notices->readAtAll($person->id, array_map(fn (Post $one) => route('posts.show', $one, false), $page->shown()));

        return view('discuss.topic', [
            'topic' => $topic, 'assignment' => $topic->assignment, 'reader' => $reader, 'page' => $page, 'rooms' => $rooms,
            'posted' => $topic->posts()->where('author_id', $person->id)->exists(),
            'follows' => DiscussionPage::follows($topic, $person->id), 'coordinates' => $person->can('coordinate', $topic),
        ]);
    }

    /** What others have posted since: asked for now and then by the page, which shows that there is something. */
    public function news(Request $request, Topic $topic): JsonResponse
    {
        $this->authorize('view', $topic);
        $reader = DiscussionReader::of($this->person($request), $topic->assignment);

        return response()->json(
            TopicPage::news($reader, $topic, $this->room($request, $reader), $request->integer('after')),
        );
    }

    /** Threads begun since. */
    public function threads(Request $request, Topic $topic, NoteTopicRead $note): View
    {
        $this->authorize('view', $topic);
        $person = $this->person($request);
        $reader = DiscussionReader::of($person, $topic->assignment);
        $found = TopicPage::newer($reader, $topic, $this->room($request, $reader), $request->integer('after'));
        $before = $note($topic, $person, (int) $found->max('id'));

        return view('discuss.threads', [
            'assignment' => $topic->assignment, 'threads' => $found, 'replies' => [], 'unread' => [], 'reader' => $reader, 'topic' => $topic, 'readTo' => $before,
            'coordinates' => $person->can('coordinate', $topic),
        ]);
    }

    public function follow(Request $request, Topic $topic, FollowTopic $follow): RedirectResponse
    {
        $this->authorize('view', $topic);
        $follow($topic, $this->person($request), $request->boolean('follows'));

        return redirect()->back(fallback: route('topics.show', $topic))
            ->with('said', __($request->boolean('follows') ? 'discuss.said.follows' : 'discuss.said.follows_not'));
    }

    public function close(Request $request, Topic $topic, CloseTopic $close): RedirectResponse
    {
        $this->authorize('coordinate', $topic);
        $close($topic, $request->boolean('closed'), $this->person($request));

        return redirect()->back(fallback: route('topics.show', $topic))
            ->with('said', __($request->boolean('closed') ? 'discuss.said.closed' : 'discuss.said.opened'));
    }

    private function room(Request $request, DiscussionReader $reader): string
    {
        return $reader->isStaff() ? $request->string('room')->toString() : $reader->room;
    }

    private function thread(DiscussionReader $reader, Topic $topic, string $id): Post
    {
        return $reader->posts($topic)->where('public_id', $id)->whereNull('thread_id')->first() ?? abort(404);
    }
}
