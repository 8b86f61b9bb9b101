{{-- What coordinators do with a post. --}}
@if ($top && $post->stands())<form method="post" action="{{ route('posts.pin', $post) }}">@csrf<button class="link"
    name="pinned" value="{{ $post->pinned_at ? '0' : '1' }}">{{ __($post->pinned_at ? 'discuss.unpin'
    : 'discuss.pin') }}</button></form>@endif
@if ($hidden)
    <form method="post" action="{{ route('posts.hide', $post) }}">@csrf<button class="link" name="show"
        value="1">{{ __('discuss.show_again') }}</button></form>
@elseif (! $gone)
    <form class="mt-2" method="post" action="{{ route('posts.hide', $post) }}">@csrf
        <label class="label" for="hide-{{ $id }}">{{ __('discuss.hide') }}</label>
        <textarea class="input" id="hide-{{ $id }}" name="reason" rows="2" maxlength="500"></textarea>
        <p class="hint">{{ __('discuss.hide_hint') }}</p>
        <button class="button mt-1">{{ __('discuss.hide_do') }}</button></form>
@endif
@if ($top && $assignment->topics->count() > 1)
    <form class="mt-2" method="post" action="{{ route('posts.move', $post) }}">@csrf
        <label class="label" for="move-{{ $id }}">{{ __('discuss.move') }}</label>
        <select class="input" id="move-{{ $id }}" name="topic">
            @foreach ($assignment->topics->except([$topic->id]) as $other)
                <option value="{{ $other->public_id }}">{{ $other->title }}</option>
            @endforeach
        </select>
        <button class="button mt-1">{{ __('discuss.move_do') }}</button></form>
@endif
@if ($post->script !== null && ! $named)
    <form class="mt-2" method="post" action="{{ route('scripts.name', $post->script) }}">@csrf
        <label class="label" for="name-{{ $id }}">{{ __('discuss.name_why') }}</label>
        <input class="input" id="name-{{ $id }}" name="reason" maxlength="500">
        <p class="hint">{{ __('discuss.name_hint') }}</p>
        <button class="button mt-1">{{ __('discuss.name_do') }}</button></form>
@endif
