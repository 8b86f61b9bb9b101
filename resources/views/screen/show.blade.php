@php
    use App\Enums\LeftOutBy;
    use App\Enums\ReportState;
    use App\Enums\WebState;
    use App\Wording\LocalTime;
    use App\Wording\OverlapWords;
    $coordinates = auth()->user()->can('coordinate', $script);
    $figures = $reading['figures'] ?? null;
    $current = $reading['current'] ?? null;
    $source = $current ? $reading['sources'][$current['source']] : null;
    $link = fn (array $query) => route('screen.show', [$script, ...$query]);
    $post = fn (string $route) => route($route, [$script, ...$asked]);
    $made = $report?->toChoices($assignment);
    $reasons = ['Quoted and cited properly', 'A title, law or fixed phrase', 'Words everyone was given',
        'Common in this subject'];
@endphp
<x-page :title="'Overlap: '.$script->code" at="modules" bare>
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Screen" slim /></x-slot:head>
    <div id="overlap" hx-boost="true" hx-select="#overlap" hx-target="#overlap" hx-swap="outerHTML show:none"
        data-overlap>
    <div class="figures">
        <h1 class="code text-base">{{ $script->code }}</h1>
        @if ($reading)
            <b class="text-xl">{{ $figures->report->share() }} %</b>
            <x-staff :share="(string) $figures->report->share()" :assignment="$assignment" width="120" />
            <x-attention :assignment="$assignment" :share="(string) $figures->report->share()" />
            <span class="sum"><span id="sum">{{ OverlapWords::sum($figures) }}</span>
            <span class="quiet small">{{ OverlapWords::leftOut($figures) }}
            {{ OverlapWords::close($figures) }}</span></span>
            @if ($reading['runs'] !== [])
                <span class="whitespace-nowrap">passage {{ $reading['number'] }} of {{ count($reading['runs']) }}
                    @if ($reading['number'] > 1)<a data-key="k"
                        href="{{ $link([...$asked, 'run' => $reading['number'] - 1]) }}">‹ <kbd>k</kbd></a>@endif
                    @if ($reading['number'] < count($reading['runs']))<a data-key="j"
                        href="{{ $link([...$asked, 'run' => $reading['number'] + 1]) }}"><kbd>j</kbd> ›</a>@endif
                </span>
            @endif
        @endif
        @if ($assignment->writing_baseline_id !== null)<span hx-boost="false">@include('screen.tabs',
            ['here' => 'overlap', 'overlap' => route('screen.show', $script),
            'writing' => route('writing.show', $script)])</span>@endif
    </div>
    @if ($errors->any())<div class="px-6 pt-2"><div class="notice refusal" role="alert">
        @foreach ($errors->all() as $message)<p>{{ $message }}</p>@endforeach</div></div>@endif
    @if (! $reading)
        <div class="px-6 py-5" @if ($report === null || $report->state->isUnderWay())
            hx-get="{{ request()->fullUrl() }}" hx-trigger="load delay:2s" @endif>
            <x-empty :title="match ($report?->state) { ReportState::Failed => 'The comparison failed',
                ReportState::Stopped => 'The comparison was stopped', ReportState::Nothing => 'Not screened',
                default => 'Not compared yet' }">
                {{ match ($report?->state) { ReportState::Failed, ReportState::Nothing => $report->failure,
                ReportState::Stopped => 'Take it up again on the Screen page.',
                ReportState::Running => "{$report->compared} of {$report->to_compare} texts compared.",
                default => 'It is waiting or under way; this usually takes seconds.' } }}</x-empty>
        </div>
    @else
        @if ($reading['hiding'] !== [] || $reading['gone']->isNotEmpty()
            || in_array($report->web_state, [WebState::Waiting, WebState::Running, WebState::Part, WebState::Failed],
            true) || $report->settings !== $assignment->overlapSettings())
            <div class="findings">
                @foreach ($reading['hiding'] as $one)
                    <p><b class="signal">{{ Str::ucfirst($one['kind']) }}</b>
                    {{ $one['note'] !== '' ? $one['note']
                        : ($one['words'] === 0 ? 'in the file, outside the text read here'
                        : ($one['times'] === 1 ? 'in one place'
                        : "in {$one['times']} places").', '.number_format($one['words']).' '.Str::plural('word',
                        $one['words']).' (boxed in the text)') }}@if ($one['example'] !== ''):
                        <q>{{ $one['example'] }}</q>@endif</p>
                @endforeach
                @foreach ($reading['gone'] as $gone)<p><b>A source was taken out</b>
                of the archive on {{ LocalTime::shown($gone->taken_out_at) }}
                and no longer counts here: {{ OverlapWords::source($gone, $script, $reader) }}.</p>@endforeach
                @if ($report->web_state->isUnderWay())<p><b>Open web:</b>
                {{ $report->web_state === WebState::Running
                    ? "{$report->web_asked} of {$report->web_to_ask} searches answered"
                    : 'waiting to be asked' }}; the figures may still grow.</p>
                @elseif ($report->web_failure)<p><b>Open web:</b> {{ $report->web_failure }}
                The rest of this report stands.</p>@endif
                @if ($report->settings !== $assignment->overlapSettings())<p><b>Compared with other settings</b>
                than the assignment has now. Compare again on the Screen page.</p>@endif
            </div>
        @endif
        @include('screen.reading', ['draft' => false, 'student' => false])
        <div class="under">
            @if ($current)
                <div class="acts">
                    <span class="quiet pt-2">Passage {{ $reading['number'] }}: {{ $current['words'] }}
                    {{ $current['kind'] === 'close' ? 'words in common, close wording'
                        : 'words' }}, source {{ $source['letter'] }}</span>
                    <details class="drop" name="act"><summary class="button">Leave this passage out …</summary>
                        <form method="post" action="{{ $post('screen.leave-out') }}" class="panel">@csrf
                            <input type="hidden" name="what"
                                value="{{ LeftOutBy::Passage->value }}"><input type="hidden" name="from"
                                value="{{ $current['from'] }}"><input type="hidden" name="to"
                                value="{{ $current['to'] }}">
                            <p class="small quiet mb-2">Its {{ $current['to'] - $current['from'] }}
                            words no longer count at all. Choose why:</p>
                            @foreach ($reasons as $reason)<button class="reason" name="reason"
                                value="{{ $reason }}">{{ $reason }}</button>@endforeach
                        </form>
                        <form method="post" action="{{ $post('screen.leave-out') }}" class="panel">@csrf
                            <input type="hidden" name="what"
                                value="{{ LeftOutBy::Passage->value }}"><input type="hidden" name="from"
                                value="{{ $current['from'] }}"><input type="hidden" name="to"
                                value="{{ $current['to'] }}">
                            <label class="small">Another reason
                            <input class="input" name="reason" maxlength="300"
                                required></label><button class="button mt-2">Leave it out</button>
                        </form>
                    </details>
                    <details class="drop" name="act">
                        <summary class="button">Leave source {{ $source['letter'] }} out …</summary>
                        <form method="post" action="{{ $post('screen.leave-out') }}" class="panel">@csrf
                            <input type="hidden" name="what" value="{{ LeftOutBy::Source->value }}"><input type="hidden"
                                name="source" value="{{ $source['id'] }}">
                            <p class="small quiet mb-2">
                                Words that only this source has no longer match; they still count as words.</p>
                            @foreach (['The student’s own earlier work', 'A source the essay quotes throughout',
                                'A copy of the brief'] as $reason)<button class="reason" name="reason"
                                value="{{ $reason }}">{{ $reason }}</button>@endforeach
                        </form>
                        <form method="post" action="{{ $post('screen.leave-out') }}" class="panel">@csrf
                            <input type="hidden" name="what" value="{{ LeftOutBy::Source->value }}"><input type="hidden"
                                name="source" value="{{ $source['id'] }}">
                            <label class="small">Another reason
                            <input class="input" name="reason" maxlength="300"
                                required></label><button class="button mt-2">Leave it out</button>
                        </form>
                    </details>
                    <a class="button primary ml-auto" href="#record">Write in the conversation record</a>
                </div>
            @endif
            <div class="grid lg:grid-cols-2 gap-8 mt-6">
                <section class="min-w-0" aria-labelledby="left-out-title">
                    <h2 id="left-out-title" class="mb-2">What counts</h2>
                    <div class="sheet scroll"><table class="table">
                        <tbody>
                            <tr><td>Words in all</td><td class="num">{{ number_format($figures->words) }}</td>
                            <td></td></tr>
                            @foreach (['given' => 'of the brief and the templates', 'quotation' => 'in quotations',
                                'bibliography' => 'in the bibliography',
                                'passage' => 'in passages left out here'] as $why => $label)
                                @php($is = $figures->leftOut[$why] ?? 0)
                                @php($out = match ($why) { 'quotation' => $made->quotations,
                                    'bibliography' => $made->bibliography, default => true })
                                @if ($is > 0 || ! $out)
                                    <tr><td>{{ $out ? '− '.$label : Str::ucfirst($label).': counted' }}</td>
                                    <td class="num">{{ $out ? number_format($is) : '' }}</td>
                                        <td class="num">@if ($why === 'quotation' || $why === 'bibliography')
                                            <form method="post" action="{{ $post('screen.leave-out') }}">
                                                @csrf<input type="hidden" name="what"
                                                value="{{ $why === 'quotation' ? 'quotations'
                                                : 'bibliography' }}"><input type="hidden" name="leave_out"
                                                value="{{ $out ? 0 : 1 }}">
                                                <button class="link" name="reason"
                                                    value="{{ $out ? 'To see the figures with them'
                                                    : 'Quoted and cited words are normal' }}">
                                                    {{ $out ? 'let them count' : 'leave them out' }}</button></form>
                                        @endif</td></tr>
                                @endif
                            @endforeach
                            <tr><td><b>Counted words</b></td>
                            <td class="num font-bold">{{ number_format($figures->report->counted) }}</td><td></td></tr>
                            <tr><td>of these, also elsewhere</td>
                            <td class="num font-bold">{{ number_format($figures->report->matched()) }}</td>
                            <td class="num font-bold">{{ $figures->report->share() }} %</td></tr>
                        </tbody>
                    </table></div>
                    <form class="flex flex-wrap gap-2 items-end mt-3" method="post"
                        action="{{ $post('screen.leave-out') }}">@csrf
                        <input type="hidden" name="what" value="short"><input type="hidden" name="reason"
                            value="Short runs are often common wording">
                        <label class="small">Leave out passages of fewer than
                        <input class="input inline-block w-20" name="from" inputmode="numeric"
                            value="{{ $made->shortest ?: $assignment->screening->minWords }}">
                            words</label><button class="button">Do so</button>
                    </form>
                    @if ($choices->isNotEmpty())
                        <h3 class="mt-5 mb-1 font-bold">Chosen on this report</h3>
                        <ul class="choices">
                            @foreach ($choices as $choice)
                                <li @class(['undone' => $choice->undone_at])>
                                    <span>{{ match ($choice->what) {
                                        LeftOutBy::Quotations => $choice->leave_out ? 'Quotations left out'
                                            : 'Quotations count',
                                        LeftOutBy::Bibliography => $choice->leave_out ? 'Bibliography left out'
                                            : 'Bibliography counts',
                                        LeftOutBy::Short => "Passages under {$choice->from_word} words left out",
                                        LeftOutBy::Source => 'A source left out: '.($choice->source
                                            ? OverlapWords::source($choice->source, $script, $reader)
                                            : 'one no longer there'),
                                        LeftOutBy::Passage => 'Words '.number_format($choice->from_word
                                            + 1).' to '.number_format($choice->to_word).' left out',
                                    } }}</span>
                                    <span class="quiet small">“{{ $choice->reason }}” · {{ $choice->by->name }}, {{ LocalTime::shown(
                                        $choice->created_at) }}{{ $choice->undone_at
                                        ? ' · undone '.LocalTime::shown($choice->undone_at) : '' }}</span>
                                    @if (! $choice->undone_at)<form method="post"
                                        action="{{ route('screen.undo', [$choice, ...$asked]) }}">
                                        @csrf<button class="link">undo</button></form>@endif
                                </li>
                            @endforeach
                        </ul>
                    @endif
                </section>
                <section class="min-w-0" aria-labelledby="sources-title">
                    <h2 id="sources-title" class="mb-2">Sources</h2>
                    @if ($reading['sources'] === [])<p class="quiet">None.</p>@else
                    <div class="sheet scroll"><table class="table">
                        <thead><tr><th></th><th>Source</th><th class="num">Words</th><th class="num">Share</th>
                        <th class="num">Passages</th></tr></thead>
                        <tbody>
                            @foreach ($reading['sources'] as $one)
                                <tr><td><svg width="18" height="18" aria-hidden="true">
                                    <rect x="1" y="1" width="16" height="16" fill="url(#hatch-{{ $one['hatch'] }})"
                                    stroke="var(--deep)" /></svg></td>
                                    <td><b>{{ $one['letter'] }}</b>
                                    @if ($one['first'])<a href="{{ $link(
                                        [...$asked, 'run' => $one['first']]) }}">{{ $one['label'] }}</a>@else{{ $one['label'] }}@endif<br><span
                                        class="quiet small">{{ $one['where'] }}{{ $one['close'] > 0
                                        ? " · close wording: {$one['close_words']} words in common" : '' }}</span></td>
                                    <td class="num">{{ number_format($one['words']) }}</td>
                                    <td class="num whitespace-nowrap">{{ $one['share'] }} %</td>
                                    <td class="num whitespace-nowrap">
                                        {{ $one['runs'] }}{{ $one['close'] > 0 ? " + {$one['close']} close" : '' }}</td>
                                        </tr>
                            @endforeach
                        </tbody>
                        <tfoot><tr><td></td><td>Together, no word counted twice</td>
                        <td class="num font-bold">{{ number_format($figures->report->matched()) }}</td>
                        <td class="num font-bold whitespace-nowrap">{{ $figures->report->share() }} %</td>
                        <td class="num whitespace-nowrap">
                            {{ count($figures->report->runs) }}{{ $figures->close === [] ? ''
                            : ' + '.count($figures->close).' close' }}</td></tr></tfoot>
                    </table></div>@endif
                    <p class="mt-3"><a class="button" hx-boost="false" href="{{ route('screen.pdf', $script) }}"
                        download>The report as PDF</a></p>
                </section>
            </div>
            @include('screen.record', ['from' => 'overlap'])
            @if ($coordinates && ! $assignment->namesRevealed())
                <details class="mt-8 max-w-xl"><summary class="quiet">Whose script is this?</summary>
                    <form class="panel mt-2" method="post" action="{{ route('scripts.name', $script) }}"
                        hx-boost="false">@csrf
                        <x-field name="reason" label="Why you need the name now"
                            hint="Names are hidden until release. Your look and this reason are written in the logbook." />
                        <div class="flex justify-end"><button class="button">Show the name</button></div>
                    </form>
                </details>
            @endif
        </div>
    @endif
    </div>
    <dialog id="keys" aria-labelledby="keys-title"><h2 id="keys-title" class="mb-2">Keys</h2>
    <p><kbd>j</kbd> next passage, <kbd>k</kbd> the one before, <kbd>w</kbd> whole source or only around the passage,
    <kbd>?</kbd> this list</p>
    <div class="flex justify-end mt-3"><button class="button" data-closes>Close</button></div></dialog>
</x-page>
