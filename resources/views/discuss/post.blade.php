@php
    use App\Discussion\PostText;
    use App\Wording\LocalTime;
    $own = $reader->isOwn($post);
    $staff = $reader->isStaff();
    $named = $reader->seesNames();
    $gone = $post->taken_back_at !== null;
    $hidden = $post->hidden_at !== null;
    $shows = (! $gone && ! $hidden) || $own || $staff;
    $folded = ($gone || $hidden) && ! $own;
    $until = $own ? $post->changesUntil() : null;
    $writes = $reader->takesPart() && ($topic->closed_at === null || $staff);
    $top = $post->thread_id === null;
    $at = ['thread' => ($top ? $post : $thread)->public_id, 'answer' => $post->public_id];
    $id = $post->public_id;
    $who = $reader->who($post);
@endphp
<article @class(['post', 'own' => $own]) id="p-{{ $id }}" data-post="{{ $id }}" tabindex="-1"
    aria-label="{{ __($top ? 'discuss.post_of' : 'discuss.reply_of', ['who' => $who]) }}">
    <header><b @class(['code' => $post->script_id !== null && ! $own && ! $named]) data-who>{{ $who }}</b>
        @if ($post->script_id === null)<span class="quiet small">{{ __('discuss.staff') }}</span>@endif
        @if ($reader->seesTimes())<a class="quiet small" href="{{ route('posts.show', $post) }}"><time
            datetime="{{ $post->created_at->toIso8601ZuluString() }}">{{ LocalTime::shown($post->created_at) }}</time></a>@endif
        @if ($post->edited_at)<span class="quiet small">{{ __('discuss.edited') }}</span>@endif
        @if ($post->pinned_at)<span class="small"><b>{{ __('discuss.pinned') }}</b></span>@endif
        @if ($post->id > $readTo && ! $own)<span class="new small">{{ __('discuss.is_new') }}</span>@endif</header>
    @if (! $top && $post->parent_id !== $post->thread_id && $post->parent !== null)
        <p class="quiet small"><a href="#p-{{ $post->parent->public_id }}">{{ __('discuss.answering',
            ['who' => $reader->who($post->parent)]) }}</a></p>
    @endif
    @if ($gone)<p class="quiet">{{ __('discuss.taken_back') }}</p>@endif
    @if ($hidden)<p class="signal">{{ $own || $staff ? __('discuss.hidden_from', ['reason' => $post->hidden_reason])
        : __('discuss.hidden') }}</p>@endif
    @if ($shows)
        @if ($folded)<details class="small"><summary class="link">{{ __('discuss.read_all_the_same') }}</summary>@endif
        @if ($reader->html($post) === '')<p class="quiet">{{ __('keeping.erase.post_gone') }}</p>@endif
        <div class="text small" dir="auto" data-words>{!! $reader->html($post) !!}</div>
        @foreach ($post->files as $file)
            @if ($file->isPicture() && ($own || ! $staff || $named))
                <figure class="my-2"><a href="{{ route('posts.file', $file) }}" target="_blank"><img loading="lazy"
                    class="max-w-full max-h-80" src="{{ route('posts.file', $file) }}" alt="{{ $file->description }}"></a></figure>
            @elseif ($file->isPicture())
                <p class="quiet small">{{ __('discuss.picture_held', ['description' => $file->description]) }}</p>
            @elseif ($own || $named)
                <p class="small"><a href="{{ route('posts.file', $file) }}">{{ $file->name }}</a>
                    <span class="quiet">{{ number_format(max(1, $file->bytes / 1024)) }} KB</span></p>
            @else
                <p class="quiet small">{{ __('discuss.file_held') }}</p>
            @endif
        @endforeach
        @if ($staff && $post->versions_count > 0)
            <details class="small"><summary class="link">{{ trans_choice('discuss.versions',
                $post->versions_count) }}</summary>
                @foreach ($post->versions as $version)
                    <div class="text small border-l-2 border-rule pl-3 mb-2" dir="auto">{!! $named
                        ? PostText::ofStaff($version->text)->html : $version->masked !!}</div>
                @endforeach
            </details>
        @endif
        @if ($folded)</details>@endif
    @endif
    <footer class="tools">
        @if ($writes && $post->stands())
            <a href="{{ route('topics.show', [$topic, ...$at]) }}#p-{{ $id }}"
                data-answer="{{ $id }}">{{ __('discuss.reply') }}</a>
            <a href="{{ route('topics.show', [$topic, ...$at, 'quote' => 1]) }}#p-{{ $id }}" data-answer="{{ $id }}"
                data-quote>{{ __('discuss.quote') }}</a>
        @endif
        @if ($until !== null)<a href="{{ route('posts.edit', $post) }}" title="{{ __('discuss.change_until',
            ['at' => LocalTime::shown($until)]) }}">{{ __('discuss.change') }}</a>@endif
        <details class="drop"><summary class="link" aria-label="{{ __('discuss.more_label',
            ['who' => $who]) }}">{{ __('discuss.more') }}</summary>
            <div class="panel absolute! z-20 w-72">
                @if ($post->stands())<form method="post" action="{{ route('posts.unread', $post) }}">@csrf<button
                    class="link">{{ __('discuss.mark_unread') }}</button></form>@endif
                @if ($own && ! $gone && ! $hidden)<form method="post" action="{{ route('posts.take-back', $post) }}">
                    @csrf<button class="link">{{ __('discuss.take_back') }}</button></form>@endif
                @if (! $own && ! $gone && ! $hidden && ! $staff)
                    <form class="mt-2" method="post" action="{{ route('posts.flag', $post) }}">@csrf
                        <label class="label" for="flag-{{ $id }}">{{ __('discuss.flag') }}</label>
                        <textarea class="input" id="flag-{{ $id }}" name="reason" rows="2" maxlength="500"></textarea>
                        <p class="hint">{{ __('discuss.flag_hint') }}</p>
                        <button class="button mt-1">{{ __('discuss.flag_send') }}</button></form>
                @endif
                @includeWhen($coordinates, 'discuss.post-coordinator')
            </div></details>
    </footer>
</article>
