@php
    use App\Enums\ConversationFinding;
    use App\Wording\WritingWords;
    use App\Queries\Screen\WritingList;
    use YoungHarbor\Core\Writing\Conformal;
    $alarm = $assignment->screening->alarm->toFloat();
    $baseline = $assignment->writingBaseline;
    $measured = $counts['s_ready'];
    $width = 1180;
    // Rare to the right: each halving of the share takes the same way.
    $least = 1 / max(20, ($baseline?->size ?? 20) + 1);
    $x = fn (float $p): float => round(20 + ($width - 40) * (1 - log(max($p, $least) / $least) / log(1 / $least)), 1);
    $stacked = [];
@endphp
<x-page :title="'Writing: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Screen" /></x-slot:head>
    @include('screen.tabs', ['here' => 'writing', 'overlap' => route('screen.index', $assignment),
        'writing' => route('writing.index', $assignment)])
    @if ($baseline === null)
        <x-empty title="Writing is not measured here">
            Signals compare a script with texts you trust. Choose a baseline for this assignment
            <a href="{{ route('plan.edit', $assignment) }}#writing">under Plan</a>;
            <a href="{{ route('baselines.index', $assignment->module) }}">make one first</a>
            if there is none. Students are told before they hand in.</x-empty>
    @else
        <p class="quiet small mb-3">Compared with
        <a href="{{ route('baselines.show', $baseline) }}">“{{ $baseline->name }}”</a>, {{ $baseline->size }}
        texts, version {{ $baseline->version }}. {{ WritingWords::alarm($alarm) }}.
        <a href="{{ route('plan.edit', $assignment) }}#writing">Change</a></p>
        @if ($baseline->lowestAlarm() > $alarm + 1e-9)<div class="notice refusal">
            The baseline is too small for this alarm: {{ Conformal::least($alarm) }}
            texts that can be used are needed, and it has {{ $baseline->size }}. Nothing is said of any script. Add texts, or allow a higher alarm.
            </div>@endif
        @if ($measured > 0)
            <section class="sheet px-4 py-3 mb-4" aria-labelledby="expected">
                <h2 id="expected" class="mb-1">{{ Str::ucfirst(WritingWords::about($measured * $alarm)) }}
                expected, {{ $counts['f_unusual'] }} seen</h2>
                <p class="mb-2 max-w-3xl">If all {{ $measured }}
                measured scripts were written as the trusted texts were, {{ WritingWords::about($measured * $alarm) }}
                of them would lie past the alarm by chance. {{ $counts['f_unusual'] }}
                {{ $counts['f_unusual'] === 1 ? 'does'
                    : 'do' }}. Which of them, if any, came about otherwise, the signals cannot tell.</p>
                <details class="mb-2"><summary class="quiet small">How these numbers come about</summary>
                <p class="small">Expected: {{ $measured }} scripts × {{ $alarm }}
                = {{ number_format($measured * $alarm, 1) }}. Seen: the scripts for which at most {{ $alarm }}
                of the texts, the baseline’s {{ $baseline->size }}
                and the script itself, are at least as unusual. By chance alone the number seen can well be two or three times the number expected.
                </p></details>
                <div class="scroll">
                <svg width="{{ $width }}" height="118" viewBox="0 0 {{ $width }} 118" role="group"
                    aria-label="{{ $measured }} scripts, the more unusual the further right; {{ $counts['f_unusual'] }} past the alarm line">
                    <line x1="20" x2="{{ $width - 20 }}" y1="84" y2="84" stroke="var(--quiet)" />
                    <rect x="{{ $x($alarm) }}" y="8" width="{{ $width - 20 - $x($alarm) }}" height="76"
                        fill="var(--shallow)" />
                    <line x1="{{ $x($alarm) }}" x2="{{ $x($alarm) }}" y1="8" y2="84" stroke="var(--ink)"
                        stroke-dasharray="5 3" />
                    @foreach ([1, 2, 5, 10, 20, 50, 100, 200] as $one)
                        @if (1 / $one >= $least * 0.99)<text x="{{ $x(1 / $one) }}" y="102" font-size="12.5"
                            text-anchor="{{ $one === 1 ? 'start' : ($x(1 / $one) > $width - 60 ? 'end' : 'middle') }}"
                            fill="var(--quiet)">{{ $one === 1 ? 'all texts' : "1 in {$one}" }}</text><line x1="{{ $x(
                            1 / $one) }}" x2="{{ $x(1 / $one) }}" y1="84" y2="88" stroke="var(--quiet)" />@endif
                    @endforeach
                    @foreach ($strip as $one)
                        @php($at = $x((float) $one->p))
                        @php($n = $stacked[(string) $at] = ($stacked[(string) $at] ?? -1) + 1)
                        <a href="{{ route('writing.show', $one->public_id) }}"
                            aria-label="{{ $one->code }}"><path d="M{{ $at - 5 }} {{ 80 - 9
                            * min($n, 7) }} l5 -8 l5 8 z"
                            fill="{{ (float) $one->p <= $alarm + 1e-9 ? 'var(--deep)' : 'var(--sheet)' }}"
                            stroke="var(--deep)"><title>{{ $one->code }}</title></path></a>
                    @endforeach
                    <text x="{{ $x($alarm) - 6 }}" y="20" font-size="12.5" text-anchor="end"
                        fill="var(--ink)">alarm, 1 in {{ round(1 / $alarm) }}</text>
                </svg></div>
                <p class="quiet small">Each script by the share of texts, the baseline’s and itself, that are at least as unusual; rarer to the right. Filled: past the alarm.
                </p>
            </section>
        @endif
        <form class="flex flex-wrap gap-2 items-center mb-3" method="get"
            action="{{ route('writing.index', $assignment) }}" role="search">
            <label class="sr-only" for="show">Show</label>
            <select class="input w-auto" id="show" name="show" data-submits>
                @foreach (WritingList::FILTERS as $key => [$label])<option value="{{ $key }}"
                @selected($written->filter === $key)>{{ $label }} ({{ $counts["f_{$key}"] }})</option>@endforeach
                </select><button class="button">Show</button>
        </form>
        <div id="writing-table" class="sheet scroll" tabindex="0" @if ($working) hx-get="{{ request()->fullUrl() }}"
            hx-trigger="load delay:2s" hx-select="#writing-table" hx-swap="outerHTML" @endif>
            <p class="px-3 pt-2 quiet small" role="status">{{ $measured + $counts['s_nothing'] }} of {{ $counts['f_'] }}
            measured.{{ $working ? ($baseline->isWorkedOut() ? ' This page keeps itself up to date.'
                : ' The baseline is being worked out first.') : '' }}{{ $baseline->failure
                ? ' The baseline could not be worked out: '.$baseline->failure : '' }}</p>
            @if ($rows->isEmpty())<p class="px-4 py-4 quiet">No script is like that.</p>@else
            <table class="table">
                <thead><tr><th>Script</th><th class="num">Words measured</th><th>At least as unusual</th>
                <th>Outside the range of nine in ten</th><th>Style turns</th><th>Where it stands</th></tr></thead>
                <tbody>
                    @foreach ($rows as $row)
                        @php($signals = json_decode($row->signals ?? '[]', true))
                        <tr>
                            <td><a class="code" href="{{ route('writing.show',
                                $row->public_id) }}">{{ $row->code }}</a></td>
                            @if ($row->state === 'ready')
                                <td class="num">{{ number_format($row->words) }}</td>
                                <td class="whitespace-nowrap">{{ $row->at_least }} of {{ $row->among }} texts</td>
                                <td class="small">{{ collect($signals)
                                    ->filter(fn ($one) => $one['value'] < $one['low'] || $one['value'] > $one['high'])
                                    ->map(fn ($one) => __('screen.signal.'.$one['name']))->implode(', ') }}</td>
                                <td>{{ $row->turns > 0 ? $row->turns : '' }}</td>
                                <td>@if (Conformal::counted($row->at_least, $row->among)
                                    ->isUnusual($alarm))<span class="signal whitespace-nowrap"><svg class="inline"
                                    width="11" height="12" viewBox="0 0 12 12" aria-hidden="true">
                                    <path d="M2 1 V12 M2 1 L11 4 L2 7" fill="none" stroke="currentColor" />
                                    </svg> past the alarm</span>@else<span class="quiet">usual</span>@endif
                                    @if ($row->recorded) <span class="whitespace-nowrap">{{ ConversationFinding::from(
                                        $row->recorded)->short() }}</span>@endif
                                        @if ($row->held)<span class="quiet small">held</span>@endif</td>
                            @else
                                <td class="num">{{ $row->words > 0 ? number_format($row->words) : '' }}</td>
                                <td colspan="3" class="quiet small">{{ $row->reason }}</td>
                                <td @class(['signal' => $row->state === 'failed', 'quiet' => $row->state !== 'failed'])>
                                    {{ match ($row->state) { 'nothing' => 'nothing can be said', 'failed' => 'failed',
                                    default => 'waiting' } }}</td>
                            @endif
                        </tr>
                    @endforeach
                </tbody>
            </table>@endif
        </div>
        <x-pages :pages="$rows" />
        <div class="grid lg:grid-cols-2 gap-6 mt-5">
            <section class="panel"><h2 class="mb-2">What no signal can tell</h2>
            <ul class="list-disc ml-5 grid gap-1">
                @foreach (WritingWords::CANNOT as $sentence)<li>{{ $sentence }}</li>@endforeach</ul></section>
            <section class="panel"><h2 class="mb-2">Does the alarm fall on all alike?</h2>
                @if ($sections === null)
                    <p class="quiet">Too few to say: two sections with at least 8 measured scripts each are needed. Ask yourself all the same whom the alarm falls on.
                    </p>
                @else
                    <table class="table"><thead><tr><th>Section</th><th class="num">Measured</th>
                    <th class="num">Past the alarm</th><th>With 95 in 100, between</th></tr></thead><tbody>
                        @foreach ($sections as $section)<tr><td>{{ $section['name'] }}</td>
                        <td class="num">{{ $section['share']->of }}</td>
                        <td class="num">{{ $section['share']->times }}</td>
                        <td>@php([$low, $high] = $section['share']->interval()){{ number_format(100 * $low) }}
                        and {{ number_format(100 * $high) }} %</td></tr>@endforeach
                    </tbody></table>
                    <p class="quiet small mt-2">
                        Ranges that overlap say that chance explains the difference well enough.</p>
                @endif
                <form class="mt-4 flex justify-end" method="post" action="{{ route('writing.measure', $assignment) }}">
                    @csrf<button class="button">Measure all again</button></form>
            </section>
        </div>
    @endif
</x-page>
