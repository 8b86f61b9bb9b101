@php
    use App\Wording\AlikeWords;
    $reach = max([5, ...array_map(fn ($one) => $one['interval'] === null ? abs($one['effect'] ?? 0)
        : max(abs($one['interval'][0]), abs($one['interval'][1])), $markers)]);
    $reach = ceil($reach / 5) * 5;
    $x = fn ($marks) => round(160 + 150 * max(-1, min(1, $marks / $reach)), 1);
    $component = null;
    // Of a large team those who stand out, unless every marker is asked for.
    $rows = count($markers) <= 20 || request('markers') === 'all' ? $markers : array_values(array_filter(
        $markers, fn ($one) => $one['stands_out'] || ($one['drift']['falls'] ?? false) || $one['id'] === $reader->self,
    ));
    $rest = count($markers) - count($rows);
@endphp
@if ($rest > 0)
    <p class="mb-2">{{ $rows === [] ? "Of {$rest} markers nobody stands out." : "{$rest} others do not stand out." }}
        <a href="{{ route('alike.show', [$assignment, 'markers' => 'all']) }}">Every marker</a></p>
@endif
@if ($figures['sets'] > 1 || ! $figures['connected'])
    <p class="notice">{{ $figures['sets'] > 1 ? "Markers fall into {$figures['sets']} sets that share no script with each other: each is compared within its set only."
        : 'Some markers share no script with others: nothing compares them.' }}</p>
@endif
@if ($rows !== [])<div class="sheet scroll"><table class="table stacked">
    <thead><tr><th>Marker</th><th class="num">First marks</th><th class="num">Shared</th>
        <th><svg width="320" height="14" role="img" aria-label="harsher to the left, more generous to the right, in marks">
            @foreach ([[-$reach, 'start'], [0, 'middle'], [$reach, 'end']] as [$m, $anchor])<text x="{{ $x($m) }}" y="11"
                font-size="11" text-anchor="{{ $anchor }}" fill="var(--quiet)">{{ $m == 0 ? 'the others'
                : ($m < 0 ? '−' : '+').abs($m) }}</text>@endforeach</svg></th>
        <th>Beside the others</th><th class="num">Spread</th><th></th></tr></thead>
    <tbody>
        @foreach ($rows as $marker)
            @php $open = $reader->seesWorkOf($marker['id']); @endphp
            @if ($figures['sets'] > 1 && $component !== $marker['component'])
                @php $component = $marker['component']; @endphp
                <tr><td colspan="7" class="quiet small">Set {{ $component }}</td></tr>
            @endif
            <tr>
                <td class="font-bold">{{ $reader->name($marker['id']) }}</td>
                <td class="num" @if ($open) data-label="First marks" @endif>{{ $open ? $marker['marks'] : '' }}</td>
                <td class="num" @if ($open) data-label="Shared with others" @endif>{{ $open ? $marker['linked'] : '' }}</td>
                <td><svg width="320" height="22" aria-hidden="true">
                    <line x1="10" x2="310" y1="11" y2="11" stroke="var(--rule)" />
                    <line x1="160" x2="160" y1="3" y2="19" stroke="var(--ink)" />
                    @if ($marker['effect'] !== null)
                        @php $colour = $marker['stands_out'] ? 'var(--signal)' : 'var(--deep)'; @endphp
                        @if ($marker['interval'] !== null)<line x1="{{ $x($marker['interval'][0]) }}"
                            x2="{{ $x($marker['interval'][1]) }}" y1="11" y2="11" stroke="{{ $colour }}" stroke-width="3" />@endif
                        @if ($marker['stands_out'])<path d="M{{ $x($marker['effect']) }} 4 l7 7 l-7 7 l-7 -7 Z" fill="{{ $colour }}" />
                        @else<circle cx="{{ $x($marker['effect']) }}" cy="11" r="5.5" fill="{{ $colour }}" />@endif
                    @endif
                </svg></td>
                <td data-label="Beside the others">
                    @if ($marker['effect'] !== null)<span class="whitespace-nowrap">{{ AlikeWords::signed($marker['effect']) }}
                        @if ($marker['interval'] !== null)<span class="quiet small">({{ AlikeWords::interval($marker['interval'],
                        AlikeWords::signed(...)) }})</span>@endif</span><br>@endif
                    <span @class(['small', 'signal' => $marker['stands_out'], 'quiet' => ! $marker['stands_out']])>{{
                        AlikeWords::lie($marker) }}</span></td>
                <td class="num" @if ($open) data-label="Spread" @endif>@if ($marker['spread'] !== null && $open){{
                    AlikeWords::coefficient($marker['spread']) }}<br><span class="quiet small whitespace-nowrap">{{
                    AlikeWords::interval($marker['spread_interval'], AlikeWords::coefficient(...)) }}</span>@endif</td>
                <td class="small quiet">{{ $open ? AlikeWords::spread($marker) : '' }}</td>
            </tr>
        @endforeach
    </tbody>
</table></div>@endif
<p class="hint mt-1 max-w-[46rem]">Beside the others: how far a marker’s marks lie, on the scripts that link them with others, from the mean of the
    others who do not stand out, by least squares; the range holds the true figure 95 times in 100. Who stands out (◆) is judged over
    all markers together, so that where nobody differs one is called different in 5 of 100 assignments. It cannot tell a marker who is harsh on some scripts and lenient on
    others. Spread: the standard deviation of their marks over that of the other marks on the same scripts; 1 is alike.</p>
