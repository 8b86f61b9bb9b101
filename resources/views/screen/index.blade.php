<x-page :title="'Screen: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Screen" /></x-slot:head>
    @include('screen.tabs', ['here' => 'overlap', 'overlap' => route('screen.index', $assignment),
        'writing' => route('writing.index', $assignment)])
    <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1 mb-3">
        <h2>Text that also stands elsewhere</h2>
        <span class="quiet small">Passages of {{ $assignment->screening->minWords }}
        words or more. Looked at: the other hand-ins{{ $assignment->screening->module
            ? ', the module’s other assignments' : '' }}{{ $assignment->screening->archive ? ', the archive'
            : '' }}{{ $assignment->screening->web ? ', the open web' : '' }}. What a share means, people decide.
            <a href="{{ route('plan.edit', $assignment) }}#screening">Change</a> ·
            <a href="{{ route('archive.index', $assignment->module) }}">Archive</a></span>
    </div>
    @if ($counts['f_'] === 0)
        <x-empty title="Nothing to compare yet">Each hand-in is compared as it comes in.</x-empty>
    @else
        @if ($network->links !== [])
            <details class="mb-4" open>
                <summary class="mb-1"><b>Who shares text with whom</b>
                <span class="quiet small">{{ count($network->groups) === 1 ? 'one group'
                    : count($network->groups).' groups' }} of scripts with at least {{ $least }}
                    words in common; lines by words</span></summary>
                <div class="sheet scroll network" tabindex="0" role="group" aria-label="Who shares text with whom">
                    <svg width="{{ $network->width }}" height="{{ $network->height }}"
                        viewBox="0 0 {{ $network->width }} {{ $network->height }}" role="img"
                        aria-label="Scripts joined by lines where they share text">
                        @foreach ($network->links as $one)
                            @php([$a, $b] = [$network->places[$one['from']], $network->places[$one['to']]])
                            <line x1="{{ $a[0] }}" y1="{{ $a[1] }}" x2="{{ $b[0] }}" y2="{{ $b[1] }}"
                                stroke="var(--deep)" stroke-opacity="0.55"
                                stroke-width="{{ round(min(16, 1.5 + sqrt($one['words']) / 1.8), 1) }}">
                                <title>{{ $one['from'] }} and {{ $one['to'] }}: {{ $one['words'] }} words</title></line>
                        @endforeach
                        @foreach ($network->links as $one)
                            @php([$a, $b] = [$network->places[$one['from']], $network->places[$one['to']]])
                            <text x="{{ ($a[0] + $b[0]) / 2 }}" y="{{ ($a[1] + $b[1]) / 2 - 9 }}" text-anchor="middle"
                                font-size="12" fill="var(--ink)" stroke="var(--sheet)" stroke-width="4"
                                paint-order="stroke">{{ $one['words'] }}</text>
                        @endforeach
                        @foreach ($network->places as $code => $at)
                            <circle cx="{{ $at[0] }}" cy="{{ $at[1] }}" r="7" fill="var(--sheet)" stroke="var(--ink)"
                                stroke-width="2" />
                            <text x="{{ $at[0] }}" y="{{ $at[1] + 24 }}" text-anchor="middle" font-size="12.5"
                                font-weight="700" fill="var(--ink)" stroke="var(--sheet)" stroke-width="4"
                                paint-order="stroke">{{ $code }}</text>
                        @endforeach
                    </svg>
                </div>
                <form class="flex items-center gap-2 mt-1 small" method="get"
                    action="{{ route('screen.index', $assignment) }}">
                    @foreach ($screened->asked() as $key => $value)<input type="hidden" name="{{ $key }}"
                        value="{{ $value }}">@endforeach
                    <label class="quiet">Lines from
                    <input class="input inline-block w-20" name="link" inputmode="numeric" value="{{ $least }}">
                    words in common</label><button class="link">draw</button>
                </form>
            </details>
        @endif
        <form class="flex flex-wrap gap-2 items-center mb-3" method="get"
            action="{{ route('screen.index', $assignment) }}" role="search">
            <label class="sr-only" for="show">Show</label>
            <select class="input w-auto" id="show" name="show" data-submits>
                @foreach (App\Queries\Screen\OverlapList::FILTERS as $key => [$label])<option value="{{ $key }}"
                    @selected($screened->filter === $key)>{{ $label }} ({{ $counts["f_{$key}"] }})</option>@endforeach
            </select>
            <label class="sr-only" for="q">Script code</label><input class="input w-auto" id="q" name="q"
                value="{{ $screened->search }}" placeholder="Script code" type="search">
            <button class="button">Show</button>
        </form>
        @include('screen.table')
        <x-pages :pages="$rows" />
        <div class="flex flex-wrap justify-between items-center gap-3 mt-3">
            <span class="quiet small">Lines: look from {{ $assignment->screening->look->toFloat() }}
            %, look closely from {{ $assignment->screening->lookClosely->toFloat() }}
            % (dashed). They say where to look, not what is found.</span>
            <div class="flex flex-wrap gap-3">
                @if ($counts['s_waiting'] + $counts['s_running'] + $counts['s_web'] > 0)<form method="post"
                    action="{{ route('screen.stop', $assignment) }}">
                    @csrf<button class="button">Stop comparing</button></form>@endif
                <form class="flex flex-wrap gap-3" method="post" action="{{ route('screen.rerun', $assignment) }}">@csrf
                    @if ($counts['s_failed'] + $counts['s_stopped'] > 0)<button class="button" name="which"
                        value="unfinished">Take up {{ $counts['s_failed'] + $counts['s_stopped'] === 1 ? 'the one'
                        : 'the '.($counts['s_failed'] + $counts['s_stopped']) }} that failed or stopped</button>@endif
                    @if ($counts['s_web_failed'] > 0)<button class="button" name="which"
                        value="web">Ask the open web again</button>@endif
                    <button class="button" name="which" value="all">Compare all again</button>
                </form>
            </div>
        </div>
    @endif
</x-page>
