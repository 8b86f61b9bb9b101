@php
    use App\Queries\Moderate\ModerationFilter;
    use App\Wording\LocalTime;
    use App\Wording\SampleWords;
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Marking\Seat;
    use YoungHarbor\Core\Marking\SecondMarks;
    use YoungHarbor\Core\Marking\Standing;
    $scheme = $assignment->scheme;
    $sampling = $scheme->second === SecondMarks::Sample;
    [$lo, $hi] = [20, 100];
    $x = fn ($mark) => round(10 + 280 * (max($lo, min($hi, (float) (string) $mark)) - $lo) / ($hi - $lo), 1);
    $undecided = $counts[ModerationFilter::Undecided->value] ?? 0;
@endphp
<x-page :title="'Moderate: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    @unless ($scheme->marksTwice())
        <x-empty title="One mark a script">
            This assignment has no second marking: a script is agreed when its mark is done.
            <a href="{{ route('alike.show', $assignment) }}">How marks lie, marker by marker</a></x-empty>
    @else
        <div class="flex flex-wrap items-baseline gap-x-5 mb-2">
            <h2>{{ $sampling ? 'A sample marked twice' : 'Two marks a script' }}</h2>
            <span class="quiet small">● first &nbsp; □ second, {{ __("plan.view.{$scheme->view->value}") }}
                &nbsp; ◇ third &nbsp; tolerance {{ Figure::plain($scheme->tolerance) }}
                &nbsp; within it: {{ $scheme->rule->sentence() }}
                &nbsp; never by itself across {{ Figure::plain($scheme->passMark) }}, before lateness and length come
                off</span>
            <span class="ml-auto flex gap-x-5"><a href="{{ route('alike.show', $assignment) }}">{{ __('alike.title') }}</a>
                @can('coordinate', $assignment)<a href="{{ route('packs.index', $assignment) }}">Sign off</a>@endcan</span>
        </div>
        @if ($sampling)
            @can('coordinate', $assignment)
                <div class="panel mb-4 flex flex-wrap items-center gap-x-4 gap-y-1">
                    <span>{{ SampleWords::soFar($samples, $undecided) }}</span>
                    <a @class(['button', 'primary' => $undecided > 0, 'ml-auto']) href="{{ route('sample.index',
                        $assignment) }}">{{ $undecided > 0 ? 'Draw the sample' : 'See the sample' }}</a>
                </div>
            @endcan
        @endif
        @if (($counts[ModerationFilter::All->value] ?? 0) === 0)
            <x-empty title="Nothing to moderate yet">
                {{ $queue->all ? 'Scripts are listed here once they are shared out.'
                : 'A script of yours is listed here when both of its marks are done.' }}</x-empty>
        @else
            <nav class="flex flex-wrap gap-x-4 gap-y-1 mb-3" aria-label="Which scripts">
                @foreach ($counts as $filter => $count)
                    <a href="{{ route('moderate.index', $filter === ModerationFilter::All->value ? $assignment
                        : [$assignment, 'show' => $filter]) }}" @if ($queue->filter->value === $filter)
                        aria-current="true" class="font-bold" @endif>{{ __("moderate.filter.{$filter}") }}
                        {{ $count }}</a>
                @endforeach
            </nav>
            <div class="sheet scroll"><table class="table">
                <thead><tr><th>Script</th><th class="num">First</th><th class="num">Second</th>
                    <th><svg width="300" height="14"
                        aria-hidden="true">@foreach ([30, 40, 50, 60, 70, 80, 90] as $m)<text x="{{ $x($m) }}" y="12"
                        font-size="11" text-anchor="middle" fill="var(--quiet)">{{ $m }}</text>@endforeach</svg></th>
                    <th class="num">Apart</th><th class="num">Agreed</th><th>Status</th>
                    @if ($sampling)<th>In the sample for</th>@endif</tr></thead>
                <tbody>
                    @forelse ($scripts as $script)
                        @php
                            $first = $script->mark(Seat::First)?->shownTotal();
                            $second = $script->mark(Seat::Second)?->shownTotal();
                            $third = $script->mark(Seat::Third)?->shownTotal();
                            $apart = $script->panel()->firstAboveSecond();
                            $waits = $script->reached === Standing::ToSettle;
                        @endphp
                        <tr>
                            <td><a class="code" href="{{ route('moderate.show', $queue->filter === ModerationFilter::All
                                ? $script : [$script, 'show' => $queue->filter->value]) }}">{{ $script->code }}</a></td>
                            <td class="num">{{ $first ?? '–' }}</td><td class="num">{{ $second ?? '–' }}</td>
                            <td>
                                <svg width="300" height="22" aria-hidden="true">
                                    <line x1="10" x2="290" y1="11" y2="11" stroke="var(--rule)" />
                                    @foreach ([30, 40, 50, 60, 70, 80, 90] as $m)<line x1="{{ $x($m) }}"
                                        x2="{{ $x($m) }}" y1="5" y2="17"
                                        stroke="{{ $m == $scheme->passMark->toFloat() ? 'var(--ink)'
                                        : 'var(--rule)' }}" />@endforeach
                                    @if ($apart !== null)<line x1="{{ $x($first) }}" x2="{{ $x($second) }}" y1="11"
                                        y2="11" stroke="{{ $waits ? 'var(--signal)' : 'var(--deep)' }}"
                                        stroke-width="3" />@endif
                                    @if ($first !== null)<circle cx="{{ $x($first) }}" cy="11" r="5.5"
                                        fill="var(--deep)" />@endif
                                    @if ($second !== null)<rect x="{{ $x($second) - 5 }}" y="6" width="10" height="10"
                                        fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />@endif
                                    @if ($third !== null)<path d="M{{ $x($third) }} 4 l6 7 l-6 7 l-6 -7 Z"
                                        fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />@endif
                                </svg>
                            </td>
                            <td class="num">{{ $apart === null ? ''
                                : ($apart->isPositive() ? '+' : '').Figure::shown($apart) }}</td>
                            <td class="num font-bold">{{ $script->settlement?->shownMark() }}</td>
                            <td><x-standing :standing="$script->standing" />@if ($waits && $script->to_settle_at)<br><span
                                @class(['small', 'signal' => $script->settleBy()->isPast(), 'quiet' => ! $script->settleBy()->isPast()])>{{
                                $script->settleBy()->isPast() ? 'was to be settled by' : 'by' }}
                                {{ LocalTime::day($script->settleBy()->setTimezone(LocalTime::zone())) }}</span>@endif</td>
                            @if ($sampling)<td class="small">{{ $script->inSample
                                ? SampleWords::keys($script->inSample->reasons) : '' }}</td>@endif
                        </tr>
                    @empty
                        <tr><td colspan="{{ $sampling ? 8 : 7 }}" class="quiet">No script is here now.</td></tr>
                    @endforelse
                </tbody>
            </table></div>
            <x-pages :pages="$scripts" />
            @if ($next !== null && auth()->user()->can('settle', $next))
                <div class="flex justify-end mt-3"><a class="button primary"
                    href="{{ route('moderate.show', [$next, 'show' => ModerationFilter::ToSettle->value]) }}">Settle {{ $next->code }}</a></div>
            @endif
        @endif
    @endunless
</x-page>
