@php
    use App\Wording\AlikeWords;
    use YoungHarbor\Core\Agreement\Report;
    $plot = $figures['plot'];
    $f = $figures['figures'];
    $shown = $figures['pairs'] >= Report::LEAST;
    $y = fn ($marks) => round(130 * (1 - max(-1, min(1, $marks / $plot['apart']))), 1);
    $x = fn ($mark) => round(40 + 600 * ($mark - $plot['low']) / ($plot['high'] - $plot['low']), 1);
    $lines = $shown ? [[$f['mean_difference'], $figures['intervals']['mean_difference'] ?? null, 'mean']] : [];
    if ($shown && $f['limit_low'] !== null) {
        $lines[] = [$f['limit_low'], $figures['intervals']['limits'][0] ?? null, '95 in 100 lie above'];
        $lines[] = [$f['limit_high'], $figures['intervals']['limits'][1] ?? null, '95 in 100 lie below'];
    }
    $dx = fn ($mark) => round(10 + 280 * max(0, min(100, $mark)) / 100, 1);
@endphp
<div class="alike-pair">
    <figure class="min-w-0"><svg viewBox="0 0 700 300" class="w-full max-w-[700px]" role="img"
        aria-label="Differences of two marks against their mean. {{ implode(' ', AlikeWords::differences($figures)) }}">
        @foreach ($lines as [$at, $between, $what])
            @if ($between !== null)<rect x="40" width="600" y="{{ $y($between[1]) }}"
                height="{{ max(1, $y($between[0]) - $y($between[1])) }}" fill="var(--shallow)" />@endif
        @endforeach
        @foreach ([-$plot['apart'], -$plot['apart'] / 2, 0, $plot['apart'] / 2, $plot['apart']] as $m)
            <line x1="40" x2="640" y1="{{ $y($m) }}" y2="{{ $y($m) }}" stroke="var(--rule)" />
            <text x="34" y="{{ $y($m) + 4 + ($m == $plot['apart'] ? 6 : 0) }}" font-size="11" text-anchor="end" fill="var(--quiet)">{{ ($m < 0 ? '−' : '').abs($m) }}</text>
        @endforeach
        @foreach ($lines as [$at, $between, $what])
            <line x1="40" x2="640" y1="{{ $y($at) }}" y2="{{ $y($at) }}" stroke="var(--ink)" stroke-width="1.5"
                stroke-dasharray="{{ $what === 'mean' ? '' : '7 4' }}" />
            <text x="646" y="{{ $y($at) + 4 }}" font-size="11" fill="var(--ink)">{{ AlikeWords::signed($at) }}</text>
        @endforeach
        <path d="{{ $plot['dots'] }}" stroke="var(--deep)" stroke-width="6" stroke-linecap="round" fill="none" opacity="0.7" />
        @for ($m = $plot['low']; $m <= $plot['high']; $m += 10)<text x="{{ $x($m) }}" y="276" font-size="11" text-anchor="middle"
            fill="var(--quiet)">{{ $m }}</text>@endfor
        <text x="340" y="294" font-size="11" text-anchor="middle" fill="var(--quiet)">mean of the two marks</text>
    </svg><figcaption class="quiet small">First less second mark, a dot a script; full line: mean difference, dashed: limits of agreement,
        bands: where each is known to lie.</figcaption></figure>
    <div class="min-w-0">
        @foreach (AlikeWords::differences($figures) as $sentence)<p class="mb-2">{{ $sentence }}</p>@endforeach
        <p class="quiet small mb-2">What makes it better: reading the scripts below together, and the wording of the criterion that
            lies furthest apart. It cannot tell which of two marks is right.</p></div>
</div>
@if ($furthest !== [])
    <h3 class="mt-4 mb-1">{{ $reader->seesAll ? 'Furthest apart' : 'Those you marked, furthest apart first' }}</h3>
    <div class="sheet scroll"><table class="table stacked">
        <thead><tr><th>Script</th><th>First marker</th><th>Second marker</th><th class="num">First mark</th>
            <th class="num">Second mark</th><th></th><th class="num">Apart</th></tr></thead>
        <tbody>@foreach ($furthest as $pair)
            @php [$first, $second] = $pair['marks']; $apart = $first - $second; $far = abs($apart) > $figures['tolerance']; @endphp
            <tr><td><a class="code" href="{{ route('moderate.show', $pair['key']) }}">{{ $pair['code'] }}</a></td>
                <td data-label="First marker">{{ $reader->nameBesideScript($pair['markers'][0]) }}</td>
                <td data-label="Second marker">{{ $reader->nameBesideScript($pair['markers'][1]) }}</td>
                <td class="num" data-label="First mark">{{ AlikeWords::marks($first) }}</td>
                <td class="num" data-label="Second mark">{{ AlikeWords::marks($second) }}</td>
                <td><svg width="300" height="18" aria-hidden="true"><line x1="10" x2="290" y1="9" y2="9" stroke="var(--rule)" />
                    <line x1="{{ $dx($first) }}" x2="{{ $dx($second) }}" y1="9" y2="9" stroke="{{ $far ? 'var(--signal)' : 'var(--deep)' }}"
                        stroke-width="3" /><circle cx="{{ $dx($first) }}" cy="9" r="5" fill="var(--deep)" />
                    <rect x="{{ $dx($second) - 4.5 }}" y="4.5" width="9" height="9" fill="var(--sheet)" stroke="var(--ink)"
                        stroke-width="2" /></svg></td>
                <td class="num" data-label="Apart">{{ AlikeWords::signed($apart) }}</td></tr>
        @endforeach</tbody></table></div>
@endif
