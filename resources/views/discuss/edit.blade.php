<x-page :title="__('discuss.change').': '.$topic->title" at="modules">
    <x-slot:head><div class="heading"><h1>{{ __('discuss.change_post') }}</h1><a class="of"
        href="{{ route('posts.show', $post) }}">{{ $topic->title }}</a></div></x-slot:head>
    <div class="talk">
        @if ($theirs !== null)<p class="notice refusal mb-3" role="alert">{{ __('discuss.refused.changed') }}</p>@endif
        <form class="panel" method="post" action="{{ route('posts.update', $post) }}">@csrf @method('put')
            <input type="hidden" name="seen" value="{{ $post->lock_version }}">
            <label class="label" for="f-text">{{ __('discuss.write_again') }}</label>
            <textarea class="input field-sizing-content" id="f-text" name="text" rows="6"
                dir="auto">{{ old('text', $text) }}</textarea>
            @error('text')<p class="error">{{ $message }}</p>@enderror
            <p class="hint">{{ __('discuss.formatting') }} {{ __('discuss.earlier_kept') }}</p>
            <div class="flex justify-end gap-3 mt-2"><a class="button" href="{{ route('posts.show', $post) }}">Leave it as it is</a>
                <button class="button primary">Save</button></div></form>
        @if ($theirs !== null)<h2 class="mt-4 mb-1">{{ __('discuss.stands_now') }}</h2>
            <div class="sheet px-4 py-3 whitespace-pre-line" dir="auto">{{ $theirs }}</div>@endif
    </div>
</x-page>
