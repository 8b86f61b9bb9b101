@php
    $kinds = $handin->files->map(fn ($file) => App\Extraction\FileKind::from($file->kind)->label())->unique()
        ->implode(', ');
@endphp
<div id="reading" @if ($handin->read_at === null) hx-get="{{ route('receipts.show', $handin) }}" hx-trigger="every 2s"
    hx-target="#reading" hx-swap="outerHTML" aria-live="polite" @endif>
    <h2 class="mb-2">What was read of it</h2>
    @if ($handin->read_at === null)
        <div class="panel"><p class="font-bold">{{ $handin->reading() }}</p>
        <p class="quiet mt-1">Your work has arrived: the receipt beside this holds already. Reading it takes some seconds, more when many hand in at once. You can leave this page; should it turn out that it cannot be read, you get a mail.
        </p><noscript><p class="quiet small mt-1">Load this page again in a moment.</p></noscript></div>
    @elseif ($handin->unreadable !== null)
        <div class="panel"><p class="signal font-bold">It could not be read, so it does not count.</p>
        <p class="mt-1">{{ $handin->unreadable }}</p>
            <p class="mt-2">{{ $handin->script->currentHandin === null
                ? 'Nothing of yours counts for this assignment now.'
                : "Attempt {$handin->script->currentHandin->attempt} counts in its place." }}
                The file itself is kept as it came.</p></div>
    @else
        @if ($rule = $handin->script->assignment->markRules()->length)<p class="mb-2">For the length:
        <b>{{ $rule->countedInWords($handin->length()) }}</b>; asked for: {{ $rule->sentence() }}.</p>@endif
        <p class="mb-2">{{ number_format($handin->words) }} words, read as {{ $kinds }}.
        {{ $handin->words > 0 ? 'Markers and screening get it so:' : '' }}</p>
        @foreach ($handin->notes as $note)<p class="notice mb-3">{{ $note }}</p>@endforeach
        @if ($handin->words > 0)<div class="sheet px-5 py-4 text whitespace-pre-line max-h-[65vh] overflow-y-auto"
            tabindex="0" aria-label="The text as markers read it">{{ $handin->text }}</div>@endif
    @endif
</div>
