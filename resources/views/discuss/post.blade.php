@php
    use App\Wording\LocalTime;
    $own = $reader->isOwn($post);
    $gone = $post->taken_back_at !== null;
    $hidden = $post->hidden_at !== null;
    $shows = (! $gone && ! $hidden) || $own || $reader->isStaff();
    $until = $own ? $post->changesUntil() : null;
    $writes = $reader->takesPart() && ($topic->closed_at === null || $reader->isStaff());
    $new = $post->id > $readTo && ! $own;
    $top = $post->thread_id === null;
    $at = ['thread' => ($top ? $post : $thread)->public_id, 'answer' => $post->public_id];
@endphp
<article @class(['post', 'own' => $own, 'from-staff' => $post->script_id === null]) id="p-{{ $post->public_id }}"
    data-post="{{ $post->public_id }}" tabindex="-1" aria-label="{{ __($top ? 'discuss.post_of' : 'discuss.reply_of',
    ['who' => $reader->who($post)]) }}">
    <header><b @class(['code' => $post->script_id !== null && ! $own && ! $reader->seesNames()])
        data-who>{{ $reader->who($post) }}</b>
        @if ($post->script_id === null)<span class="quiet small">{{ __('discuss.staff') }}</span>@endif
        @if ($reader->seesTimes())<a class="quiet small" href="{{ route('posts.show', $post) }}"><time
            datetime="{{ $post->created_at->toIso8601ZuluString() }}">{{ LocalTime::shown($post->created_at) }}</time></a>@endif
        @if ($post->edited_at)<span class="quiet small">{{ __('discuss.edited') }}</span>@endif
        @if ($post->pinned_at)<span class="small"><b>{{ __('discuss.pinned') }}</b></span>@endif
        @if ($new)<span class="new small">{{ __('discuss.is_new') }}</span>@endif</header>
    @if (! $top && $post->parent_id !== $post->thread_id && $post->parent !== null)<p class="quiet small"><a
        href="#p-{{ $post->parent->public_id }}">{{ __('discuss.answering', ['who' => $reader->who($post->parent)]) }}</a></p>@endif
    @if ($gone)<p class="quiet">{{ __('discuss.taken_back') }}</p>@endif
    @if ($hidden)<p class="signal">{{ $own || $reader->isStaff() ? __('discuss.hidden_from', ['reason' => $post->hidden_reason])
        : __('discuss.hidden') }}</p>@endif
    @if ($shows)
        @if (
            ($gone || $hidden) && ! $own
        )<details class="small"><summary class="link">{{ __('discuss.read_all_the_same') }}</summary>@endif
        <div class="text small" dir="auto" data-words>{!! $reader->html($post) !!}</div>
        @foreach ($post->files as $file)
            @if ($file->isPicture() && ($own || ! $reader->isStaff() || $reader->seesNames()))
                <figure class="my-2"><a href="{{ route('posts.file', $file) }}" target="_blank"><img class="max-w-full max-h-80" loading="lazy"
                    src="{{ route('posts.file', $file) }}" alt="{{ $file->description }}"></a></figure>
            @elseif ($file->isPicture())<p class="quiet small">{{ __('discuss.picture_held', ['description' => $file->description]) }}</p>
            @elseif ($own || $reader->seesNames())<p class="small"><a href="{{ route('posts.file', $file) }}">{{ $file->name }}</a>
                <span class="quiet">{{ number_format(max(1, $file->bytes / 1024)) }} KB</span></p>
            @else<p class="quiet small">{{ __('discuss.file_held') }}</p>@endif
        @endforeach
        @if ($reader->isStaff() && $post->versions_count > 0)<details class="small"><summary class="link">{{ trans_choice('discuss.versions',
            $post->versions_count) }}</summary>@foreach ($post->versions as $version)<div class="text small border-l-2 border-rule pl-3 mb-2"
            dir="auto">{!! $reader->seesNames() ? App\Discussion\PostText::ofStaff($version->text)->html : $version->masked !!}</div>@endforeach</details>@endif
        @if (($gone || $hidden) && ! $own)</details>@endif
    @endif
    <footer class="tools">
        @if ($writes && $post->stands())<a href="{{ route('topics.show', [$topic, ...$at]) }}#p-{{ $post->public_id }}"
            data-answer="{{ $post->public_id }}">{{ __('discuss.reply') }}</a>
            <a href="{{ route('topics.show', [$topic, ...$at, 'quote' => 1]) }}#p-{{ $post->public_id }}"
            data-answer="{{ $post->public_id }}" data-quote>{{ __('discuss.quote') }}</a>@endif
        @if ($until !== null)<a href="{{ route('posts.edit', $post) }}" title="{{ __('discuss.change_until',
            ['at' => LocalTime::shown($until)]) }}">{{ __('discuss.change') }}</a>@endif
        <details class="drop"><summary class="link" aria-label="{{ __('discuss.more_label', ['who' => $reader->who($post)]) }}">{{ __('discuss.more') }}</summary>
            <div class="panel absolute! z-20 w-72">
                @if ($post->stands())<form method="post" action="{{ route('posts.unread', $post) }}">@csrf<button class="link">{{ __('discuss.mark_unread') }}</button></form>@endif
                @if ($own && ! $gone && ! $hidden)<form method="post" action="{{ route('posts.take-back', $post) }}">@csrf<button
                    class="link">{{ __('discuss.take_back') }}</button></form>@endif
                @if (! $own && ! $gone && ! $reader->isStaff() && ! $hidden)<form class="mt-2" method="post" action="{{ route('posts.flag', $post) }}">@csrf
                    <label class="label" for="flag-{{ $post->public_id }}">{{ __('discuss.flag') }}</label>
                    <textarea class="input" id="flag-{{ $post->public_id }}" name="reason" rows="2" maxlength="500"></textarea>
                    <p class="hint">{{ __('discuss.flag_hint') }}</p><button class="button mt-1">{{ __('discuss.flag_send') }}</button></form>@endif
                @if ($coordinates)
                    @if ($top && $post->stands())<form method="post" action="{{ route('posts.pin', $post) }}">@csrf<button class="link" name="pinned"
                        value="{{ $post->pinned_at ? '0' : '1' }}">{{ __($post->pinned_at ? 'discuss.unpin' : 'discuss.pin') }}</button></form>@endif
                    @if ($hidden)<form method="post" action="{{ route('posts.hide', $post) }}">@csrf<button class="link" name="show"
                        value="1">{{ __('discuss.show_again') }}</button></form>
                    @elseif (! $gone)<form class="mt-2" method="post" action="{{ route('posts.hide', $post) }}">@csrf
                        <label class="label" for="hide-{{ $post->public_id }}">{{ __('discuss.hide') }}</label>
                        <textarea class="input" id="hide-{{ $post->public_id }}" name="reason" rows="2" maxlength="500"></textarea>
                        <p class="hint">{{ __('discuss.hide_hint') }}</p><button class="button mt-1">{{ __('discuss.hide_do') }}</button></form>@endif
                    @if ($top && $assignment->topics->count() > 1)<form class="mt-2" method="post" action="{{ route('posts.move', $post) }}">@csrf
                        <label class="label" for="move-{{ $post->public_id }}">{{ __('discuss.move') }}</label>
                        <select class="input" id="move-{{ $post->public_id }}" name="topic">@foreach ($assignment->topics as $other)@if ($other->id !== $topic->id)<option
                            value="{{ $other->public_id }}">{{ $other->title }}</option>@endif @endforeach</select>
                        <button class="button mt-1">{{ __('discuss.move_do') }}</button></form>@endif
                    @if ($post->script !== null && ! $reader->seesNames())<form class="mt-2" method="post" action="{{ route('scripts.name', $post->script) }}">@csrf
                        <label class="label" for="name-{{ $post->public_id }}">{{ __('discuss.name_why') }}</label>
                        <input class="input" id="name-{{ $post->public_id }}" name="reason" maxlength="500">
                        <p class="hint">{{ __('discuss.name_hint') }}</p><button class="button mt-1">{{ __('discuss.name_do') }}</button></form>@endif
                @endif
            </div></details>
    </footer>
</article>
