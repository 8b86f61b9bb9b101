{{-- Writing in a topic: a post, or an answer in a thread. What is typed is kept in the browser until it is posted. --}}
@php
    $mine = old('for') === $key;
    $roomNow = $page->room ?? $thread->room ?? $reader->room;
    $documents = $reader->isStaff() || $assignment->discussion->names;
    $words = $mine ? old('text') : ($quoted === '' ? '' : "{$quoted}\n\n");
    $least = $reader->isStaff() ? 0 : $assignment->discussion->words;
    [$label, $do, $rows] = $key === 'new' ? ['discuss.your_post', 'discuss.post_do', 4]
        : ['discuss.write_reply', 'discuss.reply_do', 3];
@endphp
<form class="composer panel" method="post" action="{{ route('posts.store', $topic) }}" enctype="multipart/form-data"
    data-compose="{{ auth()->user()->public_id }}:{{ $topic->public_id }}:{{ $key }}">@csrf
    <input type="hidden" name="for" value="{{ $key }}"><input type="hidden" name="room" value="{{ $roomNow }}">
    <input type="hidden" name="answers" value="{{ $mine ? old('answers') : $answers }}">
    <input type="hidden" name="once" value="">
    <p class="quiet small" data-answering @if ($who === '') hidden @endif>{{ $who === '' ? '' : __('discuss.answering',
        ['who' => $who]) }}</p>
    <label class="label" for="t-{{ $key }}">{{ __($label) }}</label>
    <textarea class="input field-sizing-content" id="t-{{ $key }}" name="text" rows="{{ $rows }}" dir="auto"
        aria-describedby="h-{{ $key }}">{{ $words }}</textarea>
    @if ($mine)
        @error('text')<p class="error">{{ $message }}</p>@enderror
        @error('files')<p class="error">{{ $message }}</p>@enderror
    @endif
    <p class="hint" id="h-{{ $key }}">{{ __('discuss.formatting') }} <span data-count data-least="{{ $least }}"></span></p>
    <p class="hint" data-said role="status"></p>
    <details class="mt-1"><summary class="link small">{{ __($documents ? 'discuss.add_files'
        : 'discuss.add_pictures') }}</summary>
        @foreach ([0, 1, 2] as $n)<div class="grid sm:grid-cols-2 gap-x-3 mt-1">
            <label><span class="sr-only">{{ __('discuss.file_number', ['number' => $n + 1]) }}</span>
                <input class="input" type="file" name="files[{{ $n }}]" @unless ($documents) accept="image/*"
                @endunless></label>
            <label><span class="sr-only">{{ __('discuss.description') }}</span><input class="input"
                name="descriptions[{{ $n }}]" maxlength="490" placeholder="{{ __('discuss.description') }}"></label>
        </div>@endforeach
        <p class="hint mt-1">{{ __($documents ? 'discuss.files_hint' : 'discuss.pictures_hint',
            ['most' => $assignment->max_megabytes]) }}</p></details>
    <div class="flex justify-end mt-2"><button class="button primary">{{ __($do) }}</button></div>
</form>
