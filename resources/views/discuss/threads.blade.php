@foreach ($threads as $thread)
    <section class="thread-of-posts" data-thread="{{ $thread->public_id }}">
        @include('discuss.post', ['post' => $thread])
        <div class="answers" data-replies>
            @include('discuss.replies', ['replies' => $replies[$thread->id] ?? collect(), 'unread' => $unread[$thread->id] ?? 0])
        </div>
        @if ($reader->takesPart() && ($topic->closed_at === null || $reader->isStaff()) && $thread->room === ($reader->isStaff()
            ? $thread->room : $reader->room))
            @php($asked = request()->string('answer')->toString())
            @php($about = $asked === '' ? null : collect([$thread, ...($replies[$thread->id] ?? [])])->firstWhere('public_id', $asked))
            <details @class(['answer-here', 'few' => $thread->replies < 2]) data-answer-here @if ($about !== null) open @endif>
                <summary class="link">{{ __('discuss.reply_thread') }}</summary>
                @include('discuss.composer', ['answers' => $about ?? $thread, 'quoted' => $about !== null
                    && request()->has('quote') ? App\Wording\DiscussionWords::quoted($reader->seesNames() || $reader->isOwn($about)
                    ? strip_tags($about->html) : $about->masked_text) : ''])
            </details>
        @endif
    </section>
@endforeach
