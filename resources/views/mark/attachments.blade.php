<p><b>Said and attached</b>
<span class="quiet small">{{ $attachments->isEmpty() ? 'nothing yet' : $attachments->count() }}</span></p>
@foreach ($attachments as $one)
    <div class="py-1">
        <p class="small"><b>{{ $one->kind }}</b>@if ($one->criterion)
        · {{ $rubric->criterion($one->criterion)?->title() }}@endif
        @if ($one->seconds !== null)<span class="quiet">{{ gmdate('i:s',
            (int) ceil((float) $one->seconds)) }}</span>@endif
            @if ($one->kind === 'file')<a href="{{ route('attachments.show', $one) }}">{{ $one->name }}</a>
            <span class="quiet">{{ number_format(max(1, $one->bytes / 1024)) }} KB</span>@endif</p>
        @if ($one->kind === 'voice')<audio class="w-full" controls data-speed preload="none"
            src="{{ route('attachments.show', $one) }}"></audio>@elseif ($one->kind === 'video')<video class="w-full"
            controls preload="none" src="{{ route('attachments.show', $one) }}"></video>@endif
        @if ($one->written !== '')<p class="small whitespace-pre-line" dir="auto">{{ $one->written }}</p>@endif
        @unless ($mark->isDone())<form method="post" action="{{ route('attachments.destroy', $one) }}">@csrf
        @method('delete')<button class="link small" aria-label="Take away this {{ $one->kind }}">take away</button>
        </form>@endunless
    </div>
@endforeach
@unless ($mark->isDone())
    <div class="criterion-tools"><button class="link" type="button" data-record="voice">record voice</button>
    <button class="link" type="button" data-record="video">record video</button></div>
    <form class="flex items-center gap-2 mt-1" method="post" enctype="multipart/form-data"
        action="{{ route('attachments.store', $mark) }}">@csrf<input type="hidden" name="kind"
        value="file"><label class="grow min-w-0"><span class="sr-only">A file for the student</span><input
        class="input small" type="file" name="file"></label><button class="button small">Attach</button></form>
@endunless
