@php
    use App\Enums\WritingState;
    use App\Queries\Screen\WritingReading;
    use App\Wording\WritingWords;
    $coordinates = auth()->user()->can('coordinate', $script);
    $signals = $report && $reading ? WritingWords::signals($report) : [];
    $questions = $reading ? implode("\n", WritingWords::questions($reading['turns'])) : '';
    $alarm = $assignment->screening->alarm->toFloat();
    $past = $reading && YoungHarbor\Core\Writing\Conformal::counted($report->at_least, $report->among)
        ->isUnusual($alarm);
    $declared = $script->currentHandin?->declaration ?? [];
@endphp
<x-page :title="'Writing: '.$script->code" at="modules" bare>
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Screen" slim /></x-slot:head>
    <div class="figures">
        <h1 class="code text-base">{{ $script->code }}</h1>
        @if ($reading)
            <span class="sum">{{ WritingWords::rank($report) }} <b>{{ WritingWords::frequency($report, $measured) }}</b>
            <span class="quiet small">{{ $past ? 'Past the alarm.' : 'Not past the alarm.' }}
            {{ number_format($report->words) }}
            words measured; “{{ $report->baseline->name }}”, version {{ $report->baseline_version }}.</span></span>
        @endif
        @include('screen.tabs', ['here' => 'writing', 'overlap' => route('screen.show', $script),
            'writing' => route('writing.show', $script)])
    </div>
    <div class="under">
        @if ($errors->any())<div class="notice refusal" role="alert">
            @foreach ($errors->all() as $message)<p>{{ $message }}</p>@endforeach</div>@endif
        @if (! $reading)
            <x-empty :title="match (true) { $assignment->writing_baseline_id === null => 'Writing is not measured here',
                $report?->state === WritingState::Nothing => 'Nothing can be said of this text',
                $report?->state === WritingState::Failed => 'Measuring failed', default => 'Not measured yet' }">
                {{ $assignment->writing_baseline_id === null ? 'This assignment has no baseline to compare with.'
                : ($report?->reason ?? 'It is waiting or under way; this usually takes seconds.') }}</x-empty>
        @else
            <h2 class="mb-1">Sentence by sentence</h2>
            <div class="scroll sheet px-2 pt-2">
                <svg class="strip" width="{{ WritingReading::WIDTH }}" height="{{ WritingReading::HEIGHT + 22 }}"
                    viewBox="0 0 {{ WritingReading::WIDTH }} {{ WritingReading::HEIGHT + 22 }}" role="group"
                    aria-label="{{ count($reading['sentences']) }} sentences, {{ count(
                    array_filter(array_column($reading['sentences'],
                    'out'))) }} outside the range of nine in ten trusted sentences, {{ count(
                    $reading['turns']) }} turns of style">
                    <rect x="0" y="{{ $reading['band'][1] }}" width="{{ WritingReading::WIDTH }}"
                        height="{{ max(1, $reading['band'][0] - $reading['band'][1]) }}" fill="var(--shallow)" />
                    @foreach ($reading['sentences'] as $one)<a href="#s{{ $one['number'] }}"
                        aria-label="Sentence {{ $one['number'] }}{{ $one['out'] === '' ? ''
                        : ", {$one['out']} to guess" }}"><rect x="{{ $one['x'] }}" y="{{ $one['y'] - 2 }}"
                        width="{{ $one['width'] }}" height="{{ $one['out'] === '' ? 4 : 7 }}"
                        fill="{{ $one['out'] === '' ? 'var(--quiet)' : 'var(--deep)' }}">
                        <title>Sentence {{ $one['number'] }}: {{ number_format($one['bits'], 1) }}
                        bits a word{{ $one['out'] === '' ? '' : ", {$one['out']} to guess than nine in ten" }}</title>
                        </rect></a>@endforeach
                    @foreach ($reading['turns'] as $turn)<line x1="{{ $turn['x'] }}" x2="{{ $turn['x'] }}" y1="0"
                        y2="{{ WritingReading::HEIGHT }}" stroke="var(--ink)" stroke-width="1.5"
                        stroke-dasharray="2 3" /><text x="{{ min($turn['x'] + 5, WritingReading::WIDTH - 90) }}" y="12"
                        font-size="12.5" fill="var(--ink)">style turns</text>@endforeach
                    <text x="0" y="{{ WritingReading::HEIGHT + 16 }}" font-size="12.5"
                        fill="var(--quiet)">beginning</text><text x="{{ WritingReading::WIDTH }}"
                        y="{{ WritingReading::HEIGHT + 16 }}" font-size="12.5" fill="var(--quiet)"
                        text-anchor="end">end</text>
                </svg>
            </div>
            <p class="quiet small mb-4">
                Higher: harder to guess. Shaded: where nine in ten sentences of trusted texts lie. Some sentences of any text lie outside.
                </p>
            <div class="grid lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-6">
                <section aria-label="The script" class="pane tall" tabindex="0">
                    <div class="text whitespace-pre-line">@foreach ($reading['sentences'] as $one){{
                    $one['before'] }}@if ($one['turn'] !== null)<span class="turn">style turns here: {{ $one['turn'] < 0.01 ? 'fewer than 1'
                    : 'about '.round(100 * $one['turn']) }} in 100 trusted texts have a turn as large</span>@endif<span
                    id="s{{ $one['number'] }}" @class(['sentence', $one['out'] => $one['out'] !== ''])
                    @if ($one['out'] !== '')
                    title="Sentence {{ $one['number'] }}: {{ $one['out'] }} to guess than nine in ten"
                    @endif>{{ $one['text'] }}</span>@endforeach{{ $reading['after'] }}</div></section>
                <section aria-labelledby="signals-title">
                    <h2 id="signals-title" class="mb-1">Beside the trusted texts</h2>
                    <p class="quiet small mb-2">Each opens what it is. None says who wrote the text.</p>
                    <div class="sheet">
                        @foreach ($signals as $one)
                            @php
                                $span = max($one->high, $one->value) - min($one->low, $one->value) ?: 1;
                                $from = min($one->low, $one->value) - 0.15 * $span;
                                $at = fn (float $value) => round(160 * ($value - $from) / (1.3 * $span), 1);
                            @endphp
                            <details class="signal-row"><summary>
                                <svg width="160" height="16" viewBox="0 0 160 16" aria-hidden="true">
                                    <line x1="0" x2="160" y1="8" y2="8" stroke="var(--rule)" />
                                    <rect x="{{ $at($one->low) }}" y="4"
                                        width="{{ max(1, $at($one->high) - $at($one->low)) }}" height="8"
                                        fill="var(--shallow)" stroke="var(--quiet)" stroke-width="0.7" />
                                        <path d="M{{ $at($one->value) - 4 }} 1 h8 l-4 7 z"
                                            fill="{{ $one->isOutside() ? 'var(--deep)' : 'var(--quiet)' }}" /></svg>
                                <span @class(['font-bold' => $one->isOutside()])>{{ Str::ucfirst(
                                    $one->inWords()) }}</span></summary>
                                <p class="small">{{ Str::ucfirst(__('screen.signal.'.$one->signal->value)) }}:
                                <b>{{ $one->shown($one->value) }}</b>
                                {{ $one->signal->unit() }}; nine in ten trusted texts lie from {{ $one->shown(
                                    $one->low) }} to {{ $one->shown($one->high) }}. {{ $one->below }}
                                    lie below this script, {{ $one->above }} above.</p>
                                    <p class="quiet small">{{ $one->signal->explained() }}</p></details>
                        @endforeach
                    </div>
                    <details class="mt-3"><summary><b>How these become one number</b></summary>
                    <p class="small mt-1">All signals together say how far a text lies from the others, allowing for those that go together. Each of the {{ $report->among }}
                    texts, this one among them, is held against all the others by the same rule; {{ $report->at_least }}
                    lie at least as far out as this one: {{ $report->at_least }} ÷ {{ $report->among }}
                    = {{ number_format($report->at_least / $report->among, 3) }}. Of honest texts at most {{ $alarm }}
                    come out at {{ $alarm }} or less, on average over baselines. Of {{ $measured }}
                    measured scripts: {{ $measured }} × {{ $report->at_least }} ÷ {{ $report->among }}
                    = {{ number_format($measured * $report->at_least / $report->among, 1) }}
                    would look at least this unusual.</p></details>
                    @if ($report->detector_state !== App\Enums\WebState::Off)
                        <h2 class="mt-5 mb-1">An outside detector{{ ($report->detector['simulated'] ?? false)
                            ? ' (simulated)' : '' }}</h2>
                        @if ($report->detector_state === App\Enums\WebState::Ready)
                            <p>{{ $report->detector['name'] }} gives {{ number_format($report->detector['score'], 2) }}
                            on its scale from 0 to 1. It states that it wrongly names {{ round(100
                                * $report->detector['false_alarms']) }}
                                of 100 honest texts, and misses {{ round(100 * $report->detector['misses']) }}
                                of 100 others; measured on: {{ $report->detector['measured_on'] }}. Of {{ $measured }}
                                honest scripts it would name {{ WritingWords::about($measured
                                    * $report->detector['false_alarms']) }}.</p>
                            <p class="quiet small">It is no part of “past the alarm”.</p>
                        @else<p class="quiet">{{ $report->detector_state === App\Enums\WebState::Failed
                            ? 'It gave no answer: '.$report->detector_failure.' Everything else stands.'
                            : 'It has been asked.' }}</p>@endif
                    @endif
                    <h2 class="mt-5 mb-1">Earlier work by the same student</h2>
                    <p>{{ WritingWords::own($report)
                        ?? 'There is too little of it to compare with: '.YoungHarbor\Core\Writing\SameHand::LEAST_OWN_WORDS.' words handed in earlier in this module, and nine scripts by others, are needed.' }}
                        </p>
                    @if ($report->found['own'])<p class="quiet small">
                        Distance {{ number_format($report->found['own']['distance'],
                        2) }}: the mean difference of how often the 150 commonest words are used, in standard deviations. A student’s own text mostly lies nearer than most.
                        </p>@endif
                    <h2 class="mt-5 mb-1">Declaration of the student</h2>
                    @if ($declared === [])<p class="quiet">Nothing was asked.</p>
                    @elseif (! $coordinates)<p class="quiet">The coordinator can read it: it may name people.</p>
                    @else<dl>@foreach ($declared as $one)<dt class="quiet small">{{ $one['label'] }}</dt>
                    <dd class="mb-1">{{ $one['answer'] }}</dd>@endforeach</dl>@endif
                    <h2 class="mt-5 mb-1">What no signal can tell</h2>
                    <ul class="list-disc ml-5 grid gap-1 small">
                        @foreach (WritingWords::CANNOT as $sentence)<li>{{ $sentence }}</li>@endforeach</ul>
                </section>
            </div>
        @endif
        @include('screen.record', ['from' => 'writing'])
    </div>
</x-page>
