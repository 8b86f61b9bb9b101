{{-- The reading page in words for students: what is normal, and what to do about a run. --}}
@php($figures = $reading['figures'])
<div id="overlap" hx-boost="true" hx-select="#overlap" hx-target="#overlap" hx-swap="outerHTML show:none" data-overlap>
    <div class="figures">
        <b class="text-xl">{{ $figures->report->share() }} %</b>
        <span class="sum">{{ App\Wording\OverlapWords::sum($figures) }}
        <span class="quiet small">{{ App\Wording\OverlapWords::leftOut($figures) }}
        {{ App\Wording\OverlapWords::close($figures) }}</span></span>
        @if ($reading['runs'] !== [])
            <span class="whitespace-nowrap">passage {{ $reading['number'] }} of {{ count($reading['runs']) }}
                @if ($reading['number'] > 1)<a data-key="k"
                    href="{{ $link([...$asked, 'run' => $reading['number'] - 1]) }}">‹ <kbd>k</kbd></a>@endif
                @if ($reading['number'] < count($reading['runs']))<a data-key="j"
                    href="{{ $link([...$asked, 'run' => $reading['number'] + 1]) }}"><kbd>j</kbd> ›</a>@endif
            </span>
        @endif
    </div>
    @include('screen.reading', ['student' => true])
    <div class="under grid lg:grid-cols-3 gap-6">
        <section class="panel"><h2 class="mb-1">What is normal</h2>
            <p>Nearly every honest essay shares some words with others: quotations, titles, names of laws, phrases the subject always uses. Quotations you marked and your bibliography are {{ $assignment->screening->quotations
                && $assignment->screening->bibliography ? 'left out of the figure'
                : 'counted here, as your coordinator chose' }}. The figure is no verdict, and no mark follows from it: people read the passages.
                </p></section>
        <section class="panel">
            @if ($draft)
            <h2 class="mb-1">What to do about a passage</h2>
            <p>Is it someone else’s wording? Put quotation marks round it and say whose it is, or close the source and write the point in your own words, and name the source all the same. Did you write it yourself, or is it a phrase everyone uses? Then leave it. Changing a word here and there does not make a passage yours: that is shown as close wording.
            </p>
            @else
            <h2 class="mb-1">What happens now</h2>
            <p>A person reads every passage beside its source before anything is said about it. Most need nothing. If something has to be talked about you are asked first, and what you say is written down. Until then there is nothing for you to do.
            </p>
            @endif
        </section>
        <section class="panel">
            @if ($draft)
                <p class="signal font-bold mb-1">This is not handed in.</p>
                <p class="mb-2">Nobody else sees a draft, and nothing is ever compared with it. {{ $left === 0
                    ? 'You have no check left.'
                    : ($left === 1 ? 'You have one check left.' : "You have {$left} checks left.") }}</p>
                <p class="quiet small">Looked at: what others have handed in so far{{ $assignment->screening->archive
                    ? ', texts of earlier years' : '' }}{{ $assignment->screening->web
                    ? ', the open web (a few words at a time, never your whole text)'
                    : '' }}. Others may hand in after this.</p>
                @if ($draftCheck->failure)<p class="quiet small mt-1">Open web: {{ $draftCheck->failure }}</p>@endif
                @foreach ($draftCheck->notes as $note)<p class="small mt-2">{{ $note }}</p>@endforeach
                <p class="mt-3"><a class="button" hx-boost="false"
                    href="{{ route('hand-in.show', $assignment) }}">Back to handing in</a></p>
            @else
                <h2 class="mb-1">Questions?</h2>
                <p>This is what your markers can see of your text and of where its words also stand, without the work of others. If something in it worries you, write to your module coordinator: they would rather hear it from you.
                </p>
            @endif
        </section>
    </div>
</div>
