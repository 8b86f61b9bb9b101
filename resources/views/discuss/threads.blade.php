@foreach ($threads as $thread)
    @php
        $asked = request()->string('answer')->toString();
        $about = $asked === '' ? null
            : collect([$thread, ...($replies[$thread->id] ?? [])])->firstWhere('public_id', $asked);
        $quoted = $about === null || ! request()->has('quote') ? '' : App\Wording\DiscussionWords::quoted(
            $reader->seesNames() || $reader->isOwn($about) ? strip_tags($about->html) : $about->masked_text);
        $opens = $about !== null || old('for') === $thread->public_id;
        $writes = $reader->takesPart() && ($topic->closed_at === null || $reader->isStaff());
    @endphp
    <section class="thread-of-posts" data-thread="{{ $thread->public_id }}">
        @include('discuss.post', ['post' => $thread])
        <div class="answers" data-replies>
            @include('discuss.replies', [
                'replies' => $replies[$thread->id] ?? collect(), 'unread' => $unread[$thread->id] ?? 0,
            ])
        </div>
        @if ($writes)
            <details @class(['answer-here', 'few' => $thread->replies < 2]) data-answer-here @if ($opens) open @endif>
                <summary class="link">{{ __('discuss.reply_thread') }}</summary>
                @if ($opens)
                    @include('discuss.composer', [
                        'key' => $thread->public_id, 'answers' => ($about ?? $thread)->public_id, 'quoted' => $quoted,
                        'who' => $about === null || $about->is($thread) ? '' : $reader->who($about),
                    ])
                @else<noscript><a href="{{ route('topics.show', [$topic, 'thread' => $thread->public_id,
                    'answer' => $thread->public_id]) }}">{{ __('discuss.write_reply') }}</a></noscript>@endif
            </details>
        @endif
    </section>
@endforeach
