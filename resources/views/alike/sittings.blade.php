@php
    use App\Wording\AlikeWords;
    $own = array_values(array_filter($markers, fn ($one) => $one['drift'] !== null && $reader->seesWorkOf($one['id'])));
@endphp
@if ($own === [])
    <p class="quiet">No first mark of yours is done here.</p>
@else
<div class="flex flex-wrap gap-x-6 gap-y-4">
    @foreach ($own as $marker)
        @php
            $drift = $marker['drift'];
            $points = $drift['points'];
            $far = max([10, ...array_column($points, 0)]);
            $marks = array_column($points, 1);
            [$low, $high] = $marks === [] ? [0, 100] : [floor(min($marks) / 10) * 10, ceil((max($marks) + 0.1) / 10) * 10];
            $px = fn ($place) => round(26 + 210 * ($place - 1) / max(1, $far - 1), 1);
            $py = fn ($mark) => round(100 - 92 * ($mark - $low) / max(10, $high - $low), 1);
            $mean = $marks === [] ? 0 : array_sum($marks) / count($marks);
            $dots = implode('', array_map(fn ($one) => "M{$px($one[0])} {$py($one[1])}h0", $points));
            $middle = $points === [] ? 0 : array_sum(array_column($points, 0)) / count($points);
        @endphp
        <figure class="w-[250px]"><figcaption class="font-bold">{{ $reader->name($marker['id']) }}</figcaption>
            <svg width="246" height="118" role="img" aria-label="Marks against their place in a sitting">
                <text x="20" y="14" font-size="11" text-anchor="end" fill="var(--quiet)">{{ $high }}</text>
                <text x="20" y="104" font-size="11" text-anchor="end" fill="var(--quiet)">{{ $low }}</text>
                <line x1="26" x2="236" y1="100" y2="100" stroke="var(--rule)" />
                <path d="{{ $dots }}" stroke="var(--deep)"
                    stroke-width="4" stroke-linecap="round" opacity="0.6" />
                @if ($drift['slope'] !== null)<line x1="{{ $px(1) }}" x2="{{ $px($far) }}"
                    y1="{{ $py($mean + $drift['slope'] * (1 - $middle)) }}" y2="{{ $py($mean + $drift['slope'] * ($far - $middle)) }}"
                    stroke="{{ $drift['falls'] ? 'var(--signal)' : 'var(--ink)' }}" stroke-width="{{ $drift['falls'] ? 3 : 1.5 }}" />@endif
                <text x="26" y="115" font-size="11" fill="var(--quiet)">1st</text>
                <text x="236" y="115" font-size="11" text-anchor="end" fill="var(--quiet)">{{ $far }}th</text>
            </svg>
            <p class="small"><span @class(['signal font-bold' => $drift['falls']])>{{ AlikeWords::drift($drift) }}</span>
                @if ($drift['slope'] !== null)<span class="quiet">{{ AlikeWords::signed($drift['slope'] * 25) }} over 25 scripts
                    ({{ AlikeWords::interval(array_map(fn ($one) => 25 * $one, $drift['interval']), AlikeWords::signed(...)) }}),
                    {{ $drift['marks'] }} marks in {{ $drift['sittings'] }} {{ $drift['sittings'] === 1 ? 'sitting' : 'sittings' }}.</span>@endif</p>
        </figure>
    @endforeach
</div>
<p class="hint mt-2 max-w-[46rem]">Does the tenth script in an evening fare worse than the first? A sitting ends after an hour without a finished
    mark. First completions of work handed in on time; marks are shuffled within sitting and section up to 9,999 times and judged over
    all markers together, so that a section marked in one block, or late work at the end, is not taken for tiredness. It cannot
    tell tiredness from scripts that lie in order of quality for another reason.</p>
@endif
