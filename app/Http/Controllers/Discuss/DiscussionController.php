<?php

declare(strict_types=1);

namespace App\Http\Controllers\Discuss;

use App\Actions\Collect\NoteBriefOpened;
use App\Actions\Discuss\LeaveFlaggedPost;
use App\Actions\Discuss\MaskPosts;
use App\Actions\Discuss\RemoveTopic;
use App\Actions\Discuss\SaveTopic;
use App\Discussion\DiscussionReader;
use App\Http\Controllers\Controller;
use App\Http\Requests\Discuss\TopicRequest;
use App\Models\Assignment;
use App\Models\PostFlag;
use App\Models\Topic;
use App\Queries\Discuss\DiscussionPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * A discussion as a whole: its topics, what is new, what is found in it, what readers pointed out.
 */
final class DiscussionController extends Controller
{
    public function show(Request $request, Assignment $assignment, MaskPosts $mask, NoteBriefOpened $note): View
    {
        $this->authorize('discuss', $assignment);
        $reader = DiscussionReader::of($this->person($request), $assignment->load('topics', 'module'));
        $reader->script === null || $note($reader->script);
        $reader->seesNames() || $mask($assignment);
        $words = trim($request->string('q')->limit(100, '')->toString());

        return view('discuss.show', [
            'assignment' => $assignment, 'reader' => $reader, 'page' => DiscussionPage::of($reader), 'words' => $words,
            'found' => $words === '' ? null : DiscussionPage::found($reader, $words),
            'flags' => $this->person($request)->can('coordinate', $assignment) ? DiscussionPage::flags($reader) : null,
        ]);
    }

    public function store(TopicRequest $request, Assignment $assignment, SaveTopic $save): RedirectResponse
    {
        $save($assignment, null, ...$this->words($request), seen: null);

        return redirect()->to(route('discussion.show', $assignment).'#topics')->with('said', __('discuss.said.topic_added'));
    }

    public function update(TopicRequest $request, Topic $topic, SaveTopic $save): RedirectResponse
    {
        $save($topic->assignment, $topic, ...$this->words($request), seen: $request->integer('seen'));

        return redirect()->to(route('discussion.show', $topic->assignment).'#topics')->with('said', __('discuss.said.topic_saved'));
    }

    public function destroy(Topic $topic, RemoveTopic $remove): RedirectResponse
    {
        $this->authorize('coordinate', $topic);
        $remove($topic);

        return redirect()->to(route('discussion.show', $topic->assignment).'#topics')->with('said', __('discuss.said.topic_gone'));
    }

    /** A flagged post stays as it is; hiding it decides its flags too. */
    public function leave(Request $request, PostFlag $flag, LeaveFlaggedPost $leave): RedirectResponse
    {
        $this->authorize('coordinate', $flag);
        $leave($flag, $this->person($request));

        return redirect()->to(route('discussion.show', $flag->post->topic->assignment).'#flags')
            ->with('said', __('discuss.said.left'));
    }

    /**
     * @return array{title: string, prompt: string}
     */
    private function words(TopicRequest $request): array
    {
        return [
            'title' => $request->string('title')->trim()->toString(),
            'prompt' => str_replace("\r\n", "\n", $request->string('prompt')->trim()->toString()),
        ];
    }
}
