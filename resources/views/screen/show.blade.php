@php
    $report = $reading['report'];
    $current = $reading['current'];
    $runs = $reading['runs'];
    $hatch = ['h-a', 'h-b', 'h-c', 'h-d'];
    $coordinates = auth()->user()->can('coordinate', $script);
@endphp
<x-page :title="'Overlap: '.$script->code" at="modules" bare>
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Screen" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-6 px-6 py-3 bg-sheet border-b border-rule">
        <b class="code">{{ $script->code }}</b>
        @if ($report?->state === App\Enums\ReportState::Ready)
            <b class="text-xl">{{ $report->share }} %</b>
            <span class="quiet">{{ number_format($report->matched) }} of {{ number_format($report->counted) }} counted words stand elsewhere too{{ $report->left_out > 0 ? '; '.number_format($report->left_out).' words of the brief and the templates are left out' : '' }}</span>
            @if ((float) $report->share >= (float) config('harbor.overlap.look_closely'))<span>past <b>look closely</b> ({{ config('harbor.overlap.look_closely') }})</span>
            @elseif ((float) $report->share >= (float) config('harbor.overlap.look'))<span>past <b>look</b> ({{ config('harbor.overlap.look') }})</span>@endif
            @if ($runs->isNotEmpty())
                <span class="ml-auto">run {{ $reading['number'] }} of {{ $runs->count() }}
                    @if ($reading['number'] > 1)<a data-key="k" href="{{ route('screen.show', [$script, 'run' => $reading['number'] - 1]) }}">‹ <kbd>k</kbd></a>@endif
                    @if ($reading['number'] < $runs->count())<a data-key="j" href="{{ route('screen.show', [$script, 'run' => $reading['number'] + 1]) }}"><kbd>j</kbd> ›</a>@endif
                </span>
            @endif
        @endif
    </div>
    <div class="px-6 pt-4 pb-10">
        @if ($report === null || $report->state !== App\Enums\ReportState::Ready)
            <x-empty title="{{ $report?->state === App\Enums\ReportState::Failed ? 'The comparison failed' : 'Not compared yet' }}">{{ $report?->failure ?? 'It is waiting or under way; this usually takes seconds.' }}</x-empty>
        @elseif ($current === null)
            <x-empty title="No run of {{ $assignment->overlap_min_words }} words or more stands in another hand-in">That says nothing about other sources: only hand-ins of this assignment were compared.</x-empty>
            <div class="sheet px-5 py-4 mt-4 text whitespace-pre-line">{{ $reading['text'] }}</div>
        @else
            <div class="reading">
                <div class="staff">
                    <svg width="60" height="520" viewBox="0 0 60 520" role="group" aria-label="Where in the text the runs lie">
                        <defs>
                            <pattern id="h-a" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="6" height="6" fill="var(--sheet)" /><line x1="0" y1="0" x2="0" y2="6" stroke="var(--deep)" stroke-width="3" /></pattern>
                            <pattern id="h-b" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="6" height="6" fill="var(--sheet)" /><line x1="0" y1="3" x2="6" y2="3" stroke="var(--ink)" stroke-width="2" /></pattern>
                            <pattern id="h-c" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="6" height="6" fill="var(--sheet)" /><circle cx="3" cy="3" r="1.6" fill="var(--ink)" /></pattern>
                            <pattern id="h-d" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)"><rect width="6" height="6" fill="var(--sheet)" /><line x1="0" y1="0" x2="0" y2="6" stroke="var(--quiet)" stroke-width="2" /></pattern>
                        </defs>
                        <rect x="12" y="4" width="20" height="500" fill="var(--sheet)" stroke="var(--quiet)" />
                        @foreach ($runs as $run)
                            @php($n = array_search($run->source_handin_id, array_keys($reading['letters']), true))
                            <a href="{{ route('screen.show', [$script, 'run' => $loop->iteration]) }}" aria-label="Run {{ $loop->iteration }}">
                                <rect x="12" y="{{ round(4 + 500 * $run->from_word / max(1, $reading['words']), 1) }}" width="20" height="{{ round(max(4, 500 * ($run->to_word - $run->from_word) / max(1, $reading['words'])), 1) }}" fill="url(#{{ $hatch[$n % 4] }})" stroke="var(--deep)" />
                                @if ($loop->iteration === $reading['number'])<path d="M50 {{ round(4 + 500 * ($run->from_word + $run->to_word) / 2 / max(1, $reading['words']), 1) }} l-12 -5 v10 z" fill="var(--ink)" />@endif
                            </a>
                        @endforeach
                        <text x="22" y="518" text-anchor="middle" font-size="11" fill="var(--quiet)">text</text>
                    </svg>
                </div>
                @foreach (['here' => 'The script', 'there' => null] as $side => $heading)
                    @if ($side === 'there')
                        <svg class="gutter" width="110" height="330" viewBox="0 0 110 330" aria-hidden="true">
                            <path d="M0 70 C45 70 65 90 110 90 L110 230 C65 230 45 210 0 210 Z" fill="var(--shallow)" stroke="var(--deep)" />
                            <text x="55" y="155" text-anchor="middle" font-size="14" fill="var(--ink)">{{ $current['run']->words }} words</text>
                        </svg>
                    @endif
                    <section class="min-w-0">
                        <h2 class="small quiet font-normal mb-2">
                            @if ($heading){{ $heading }}, words {{ number_format($current['run']->from_word + 1) }} to {{ number_format($current['run']->to_word) }}
                            @else Source <b class="text-ink">{{ $current['letter'] }}</b> · {{ $current['code'] }}, another hand-in of this assignment · {{ $reading['letters'][$current['run']->source_handin_id]['words'] }} words in {{ Str::plural('run', $reading['letters'][$current['run']->source_handin_id]['runs'], true) }}@endif
                        </h2>
                        <div class="sheet px-5 py-4 text whitespace-pre-line">{{ $current[$side]['before'] ? '… ' : '' }}{!! implode('', array_map(fn ($part) => $part['same'] ? '<mark class="same">'.e($part['text']).'</mark>' : e($part['text']), $current[$side]['parts'])) !!}{{ $current[$side]['after'] ? ' …' : '' }}</div>
                    </section>
                @endforeach
            </div>
            <h2 class="mt-8 mb-2">Sources</h2>
            <div class="sheet scroll max-w-3xl"><table class="table">
                <thead><tr><th></th><th>Source</th><th class="num">Words credited</th><th class="num">Share</th><th class="num">Runs</th><th></th></tr></thead>
                <tbody>
                    @foreach ($reading['letters'] as $source)
                        <tr>
                            <td><svg width="22" height="22" aria-hidden="true"><rect x="1" y="1" width="20" height="20" fill="url(#{{ $hatch[$loop->index % 4] }})" stroke="var(--deep)" /></svg></td>
                            <td><b>{{ $source['letter'] }}</b> <span class="code">{{ $source['code'] }}</span></td>
                            <td class="num">{{ number_format($source['words']) }}</td><td class="num">{{ $source['share'] }} %</td><td class="num">{{ $source['runs'] }}</td>
                            <td class="num"><a href="{{ route('screen.show', [$script, 'run' => $source['first']]) }}">read</a></td>
                        </tr>
                    @endforeach
                </tbody>
                <tfoot><tr><td></td><td>Together, no word counted twice</td><td class="num font-bold">{{ number_format($report->matched) }}</td><td class="num font-bold">{{ $report->share }} %</td><td class="num">{{ $runs->count() }}</td><td></td></tr></tfoot>
            </table></div>
        @endif
        @if ($coordinates && ! $assignment->namesRevealed())
            <details class="mt-8 max-w-xl"><summary class="quiet">Whose script is this?</summary>
                <form class="panel mt-2" method="post" action="{{ route('scripts.name', $script) }}">
                    @csrf
                    <x-field name="reason" label="Why you need the name now" hint="Names are hidden until release. Your look and this reason are written in the logbook." />
                    <div class="flex justify-end"><button class="button">Show the name</button></div>
                </form>
            </details>
        @endif
    </div>
    <dialog id="keys" aria-labelledby="keys-title"><h2 id="keys-title" class="mb-2">Keys</h2><p><kbd>j</kbd> next run, <kbd>k</kbd> the one before, <kbd>?</kbd> this list</p><div class="flex justify-end mt-3"><button class="button" data-closes>Close</button></div></dialog>
</x-page>
