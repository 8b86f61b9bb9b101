@php use App\Wording\LocalTime; @endphp
<x-page :title="__('replies.title').': '.$script->code" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Mark" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-3"><h2 class="code">{{ $script->code }}</h2>
        <span class="quiet">{{ $criterion['title']
            ?? __('replies.about.'.Str::before($thread->about, ':')) }}</span>
        <a class="ml-auto" href="{{ route('replies.index', $assignment) }}">all replies</a></div>
    <div class="max-w-[46rem]">
        @if ($comment)<div class="note-card mb-4">
            <p class="quiet font-text small" dir="auto">{{ isset($comment->anchor['exact'])
            ? '“'.Str::limit(Str::squish($comment->anchor['exact']), 200).'”' : 'page '.$comment->anchor['page'] }}</p>
            <p class="whitespace-pre-line" dir="auto">{{ $comment->body }}</p></div>@endif
        @if ($criterion && $criterion['comment'] !== '')<div class="note-card mb-4">
            <p class="quiet small">{{ $criterion['title'] }}</p>
            <p class="whitespace-pre-line" dir="auto">{{ $criterion['comment'] }}</p></div>@endif
        @foreach ($thread->replies as $reply)
            <div class="panel mb-3">
                <p class="quiet small">{{ $reply->from_student ? ($assignment->namesRevealed() ? $reply->author->name
                : __('replies.student'))
                    : ($reply->author_id === $person->id ? __('replies.you') : ($assignment->namesRevealed()
                ? $reply->author->name : __('replies.team'))) }}, {{ LocalTime::shown($reply->created_at) }}</p>
                <p class="whitespace-pre-line mt-1"
                    dir="auto">{{ $assignment->namesRevealed() ? $reply->body : $reply->bodyWithoutNames() }}</p>
                @include('release.reply-file')</div>
        @endforeach
        @if ($thread->closed_at)<p class="quiet mb-3">{{ __('replies.closed_here') }}</p>
        @else<form class="panel mb-3" method="post" action="{{ route('replies.answer', $thread) }}"
            enctype="multipart/form-data" data-say="{{ config('harbor.voice.seconds') }}">@csrf
            <x-field name="body" label="Your answer" rows="5" maxlength="10000"
                :hint="$assignment->namesRevealed() ? 'The student reads it with your name.'
                    : 'The student reads it without your name.'" />
            <input type="hidden" name="kind" value=""><label class="label" for="f-file">{{ __('replies.file') }}</label>
            <input class="input" id="f-file" type="file"
                name="file">@error('file')<p class="error">{{ $message }}</p>@enderror
            @unless ($assignment->namesRevealed())<p class="hint">{{ __('replies.file_waits') }}</p>@endunless
            <div class="flex justify-end mt-2"><button class="button primary">Answer</button></div></form>@endif
        <form method="post" action="{{ route('replies.update', $thread) }}">@csrf @method('put')
            <button class="link" name="close"
                value="{{ $thread->closed_at ? '0' : '1' }}">{{ $thread->closed_at ? 'Open it again'
                : 'Close it: nothing more to say' }}</button></form>
    </div>
</x-page>
