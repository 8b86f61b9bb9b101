{{-- A student's thread about one thing on their result: what was said, a reply, whether it was useful. --}}
@php
    use App\Wording\LocalTime;
    $thread = $threads[$about] ?? null;
    $key = Str::slug($about);
    $revealed = $assignment->namesRevealed();
    $rated = $ratings[$about] ?? null;
    $mine = old('about') === $about;
@endphp
<div class="thread no-print" @if ($thread) id="thread-{{ $thread->public_id }}" @endif>
    @foreach ($thread->replies ?? [] as $reply)
        <div class="reply"><p class="quiet small">
            {{ $reply->from_student ? __('replies.you') : ($revealed ? $reply->author->name
            : __('replies.marker')) }}, {{ LocalTime::shown($reply->created_at) }}</p>
            <p class="whitespace-pre-line"
                dir="auto">{{ $reply->from_student || $revealed ? $reply->body : $reply->bodyWithoutNames() }}</p>
            @include('release.reply-file')</div>
    @endforeach
    <div class="flex flex-wrap items-start gap-x-4 small">
        @if ($thread?->closed_at)<span class="quiet">{{ __('replies.closed_here') }}</span>
        @else<details class="min-w-0 open:basis-full" @if ($mine && $errors->any()) open @endif>
            <summary class="link">{{ __($about === 'whole' ? 'replies.reply_whole' : 'replies.reply') }}</summary>
            <form class="mt-1 max-w-[26rem]" method="post" action="{{ $replyTo }}"
                enctype="multipart/form-data" data-say="{{ config('harbor.voice.seconds') }}">@csrf<input type="hidden"
                    name="kind"
                value=""><input type="hidden" name="about" value="{{ $about }}">
                <label class="sr-only" for="b-{{ $key }}">Your reply</label>
                <textarea class="input" id="b-{{ $key }}" name="body" rows="4" maxlength="10000"
                    dir="auto">{{ $mine ? old('body') : '' }}</textarea>
                @if ($mine)@error('body')<p class="error">{{ $message }}</p>@enderror
                @error('file')<p class="error">{{ $message }}</p>@enderror @endif
                <label class="label mt-2" for="u-{{ $key }}">{{ __('replies.file') }}</label>
                <input class="input" id="u-{{ $key }}" type="file" name="file">
                @unless ($revealed)<p class="hint">{{ __('replies.hidden_names') }}
                {{ __('replies.file_waits') }}</p>@endunless
                <div class="flex justify-end mt-1"><button class="button">Send</button></div></form></details>@endif
        @unless (str_starts_with($about, 'criterion:'))
            <form class="flex flex-wrap gap-x-3" method="post" action="{{ $rateAt }}">@csrf
                <input type="hidden" name="about"
                    value="{{ $about }}"><span class="quiet">{{ $rated === null ? __('replies.useful')
                    : __($rated ? 'replies.said_yes' : 'replies.said_no') }}</span>
                @if ($rated !== true)<button class="link" name="useful" value="1">{{ __('replies.yes') }}</button>@endif
                @if ($rated !== false)<button class="link" name="useful" value="0">{{ __('replies.no') }}</button>@endif
                </form>
        @endunless
    </div>
</div>
