{{-- How far peers can be relied on here: their combined marks beside the first marks of staff. --}}
@php
    use App\Queries\Peers\PeersBesideStaff;
    $pairs = $beside->pairs;
    $limits = $pairs->limits();
    $mean = $pairs->meanDifference();
    $figure = fn (float $one): string => sprintf('%+.1F', $one);
@endphp
<h2 class="mb-1">Peers beside staff</h2>
@if ($round->settings->criteria !== [])
    <p class="quiet mb-5">Peers use only some of the criteria here, so their marks are not held against those of staff.</p>
@elseif ($pairs->count() < PeersBesideStaff::LEAST || $limits === null || $mean === null)
    <p class="quiet mb-5">{{ $pairs->count() === 0 ? 'No work has marks of both yet.'
        : ($pairs->count() === 1 ? '1 work has marks of both' : $pairs->count().' works have marks of both').': too few to say how far peers can be relied on.' }}
        From {{ PeersBesideStaff::LEAST }} on it is worked out.</p>
@else
    <p class="mb-2">On {{ $pairs->count() }} works peers gave <b>{{ $figure($mean) }}</b> marks beside staff on average, and 19 of 20 works lie
        between <b>{{ $figure($limits[0]) }}</b> and <b>{{ $figure($limits[1]) }}</b> (limits of agreement).</p>
    @php($x = fn (float $one): float => round(20 + 380 * (max(-40, min(40, $one)) + 40) / 80, 1))
    <svg class="block mb-2 w-full max-w-[42rem]" viewBox="0 0 420 64" role="img" aria-label="Peers’ mark less staff’s, one point a work">
        <line x1="20" x2="400" y1="44" y2="44" stroke="var(--rule)" />
        <rect x="{{ $x($limits[0]) }}" y="12" width="{{ max(1, $x($limits[1]) - $x($limits[0])) }}" height="32" fill="var(--shallow)" />
        <line x1="{{ $x(0) }}" x2="{{ $x(0) }}" y1="8" y2="44" stroke="var(--quiet)" />
        <line x1="{{ $x($mean) }}" x2="{{ $x($mean) }}" y1="8" y2="44" stroke="var(--deep)" stroke-width="2" />
        @foreach ($pairs->marks as $n => [$peers, $staff])<circle cx="{{ $x($peers - $staff) }}" cy="{{ 18 + ($n * 7) % 24 }}" r="3"
            fill="none" stroke="var(--deep)" />@endforeach
        @foreach ([-40, -20, 0, 20, 40] as $tick)<text x="{{ $x($tick) }}" y="60" text-anchor="middle" font-size="11"
            fill="var(--quiet)">{{ $tick > 0 ? "+{$tick}" : $tick }}</text>@endforeach</svg>
    <p class="quiet small mb-5">It says how far apart they are here, on these works; not who of them is right, and nothing of works that staff have not marked.</p>
@endif
