@php
    use App\Enums\ReportState;
    $waits = in_array($draft->state, [ReportState::Waiting, ReportState::Running], true);
@endphp
<div id="draft" class="split" @if ($waits) hx-get="{{ route('drafts.show', $draft) }}" hx-trigger="every 2s" hx-target="#draft" hx-swap="outerHTML" @endif>
    <div class="sheet px-5 py-4 text whitespace-pre-line">@foreach ($parts as $part)@if ($part['same'])<mark class="same">{{ $part['text'] }}</mark>@else{{ $part['text'] }}@endif @endforeach</div>
    <aside>
        <div class="panel mb-4" aria-live="polite">
            @if ($waits)
                <p class="font-bold">{{ $draft->state === ReportState::Running ? "{$draft->compared} of {$draft->to_compare} compared" : 'Waiting to be compared' }}</p>
                <noscript><p class="quiet small">Load this page again in a moment.</p></noscript>
            @elseif ($draft->state === ReportState::Failed)
                <p class="signal font-bold">The comparison failed.</p><p class="quiet small">It does not count among your checks. Try again, or hand in without one.</p>
            @else
                <p><b>{{ $draft->share }} %</b> of your words also stand in what others have handed in so far, in runs of {{ $assignment->overlap_min_words }} words or more.</p>
                <p class="quiet small mt-2">Marked in your text. Quoted and cited words are normal; a number says nothing by itself. Others may hand in after this, and other sources were not looked at.</p>
            @endif
        </div>
        <div class="panel mb-4">
            <p>{{ number_format($draft->words) }} words were read, {{ App\Support\Clock::shown($draft->created_at) }}.</p>
            @foreach ($draft->notes as $note)<p class="small mt-2">{{ $note }}</p>@endforeach
        </div>
        <p class="signal font-bold mb-2">This is not handed in.</p>
        <p class="quiet small">Nobody else sees a draft, and nothing is ever compared with it. {{ $left === 0 ? 'You have no check left.' : ($left === 1 ? 'You have one check left.' : "You have {$left} checks left.") }}</p>
        <p class="mt-3"><a class="button" href="{{ route('hand-in.show', $assignment) }}">Back to handing in</a></p>
    </aside>
</div>
