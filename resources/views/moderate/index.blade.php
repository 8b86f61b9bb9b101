@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Marking\Seat;
    use YoungHarbor\Core\Marking\Standing;
    $lo = 20; $hi = 100; $x = fn ($mark) => round(10 + 280 * (max($lo, min($hi, (float) $mark)) - $lo) / ($hi - $lo),
        1);
@endphp
<x-page :title="'Moderate: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    @unless ($assignment->scheme->wants(Seat::Second))
        <x-empty title="One mark a script">
            This assignment has no second marking: a script is agreed when its mark is done.</x-empty>
    @else
        <div class="flex flex-wrap items-baseline gap-x-5 mb-2">
            <h2>Two marks a script</h2>
            <span class="quiet small">● first &nbsp; □ second, blind &nbsp; tolerance {{ Figure::plain(
                $assignment->scheme->tolerance) }} &nbsp; within it: {{ $assignment->scheme->rule->sentence() }}
                &nbsp; never by itself across {{ Figure::plain(
                    $assignment->scheme->passMark) }}, before lateness and length come off</span>
        </div>
        @if ($scripts->isEmpty())
            <x-empty title="Nothing to moderate yet">
                {{ $all ? 'Scripts are listed here once they are shared out.'
                : 'A script of yours is listed here when both of its marks are done.' }}</x-empty>
        @else
            <div class="sheet scroll"><table class="table">
                <thead><tr><th>Script</th><th class="num">First</th><th class="num">Second</th>
                    <th><svg width="300" height="14"
                        aria-hidden="true">@foreach ([30, 40, 50, 60, 70, 80, 90] as $m)<text x="{{ $x($m) }}" y="12"
                        font-size="11" text-anchor="middle" fill="var(--quiet)">{{ $m }}</text>@endforeach</svg></th>
                    <th class="num">Apart</th><th class="num">Agreed</th><th>Status</th></tr></thead>
                <tbody>
                    @foreach ($scripts as $script)
                        @php
                            $first = $script->mark(Seat::First)?->shownTotal();
                            $second = $script->mark(Seat::Second)?->shownTotal();
                            $standing = $script->standing;
                            $apart = $script->panel()->firstAboveSecond();
                        @endphp
                        <tr>
                            <td><a class="code" href="{{ route('moderate.show',
                                $script) }}">{{ $script->code }}</a></td>
                            <td class="num">{{ $first ?? '–' }}</td><td class="num">{{ $second ?? '–' }}</td>
                            <td>
                                <svg width="300" height="22" aria-hidden="true">
                                    <line x1="10" x2="290" y1="11" y2="11" stroke="var(--rule)" />
                                    @foreach ([30, 40, 50, 60, 70, 80, 90] as $m)<line x1="{{ $x($m) }}"
                                        x2="{{ $x($m) }}" y1="5" y2="17"
                                        stroke="{{ $m == $assignment->scheme->passMark->toFloat() ? 'var(--ink)'
                                        : 'var(--rule)' }}" />@endforeach
                                    @if ($apart !== null)<line x1="{{ $x($first) }}" x2="{{ $x($second) }}" y1="11"
                                        y2="11" stroke="{{ $standing === Standing::ToSettle ? 'var(--signal)'
                                        : 'var(--deep)' }}" stroke-width="3" />@endif
                                    @if ($first !== null)<circle cx="{{ $x($first) }}" cy="11" r="5.5"
                                        fill="var(--deep)" />@endif
                                    @if ($second !== null)<rect x="{{ $x($second) - 5 }}" y="6" width="10" height="10"
                                        fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />@endif
                                </svg>
                            </td>
                            <td class="num">{{ $apart === null ? ''
                                : ($apart->isPositive() ? '+' : '').Figure::shown($apart) }}</td>
                            <td class="num font-bold">{{ $script->settlement?->shownMark() }}</td>
                            <td><x-standing :standing="$standing" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table></div>
            @if ($toSettle->isNotEmpty() && auth()->user()->can('settle', $toSettle->first()))
                <div class="flex justify-end mt-3"><a class="button primary"
                    href="{{ route('moderate.show',
                    $toSettle->first()) }}">Settle {{ $toSettle->first()->code }}</a></div>
            @endif
        @endif
    @endunless
</x-page>
