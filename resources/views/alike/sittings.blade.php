@php
    use App\Wording\AlikeWords;
    // Of a large team those first who stand out; the others stand on the same page, asked for.
    $most = 12;
    $own = array_values(array_filter($markers, fn ($one) => $one['drift'] !== null && $reader->seesWorkOf($one['id'])));
    $all = count($own);
    if ($all > $most && request('markers') !== 'all') {
        $own = array_values(array_filter($own, fn ($one) => $one['drift']['falls'] || $one['id'] === $reader->self));
    }
@endphp
@if ($all === 0)
    <p class="quiet">No first mark of yours is done here.</p>
@else
@if ($all > count($own))
    <p class="mb-2">{{ $own === [] ? "Nobody’s marks of {$all} markers fall or rise within a sitting beyond chance."
        : "Of {$all} markers those whose marks fall or rise within a sitting:" }}
        <a href="{{ route('alike.show', [$assignment, 'markers' => 'all']) }}#sittings">every marker</a></p>
@endif
<div class="flex flex-wrap gap-x-6 gap-y-4">
    @foreach ($own as $marker)
        @php
            $drift = $marker['drift'];
        @endphp
        <figure class="w-[250px]"><figcaption class="font-bold">{{ $reader->name($marker['id']) }}</figcaption>
            <svg width="246" height="118" role="img" aria-label="Marks against their place in a sitting">
                <text x="20" y="14" font-size="11" text-anchor="end" fill="var(--quiet)">{{ $drift['high'] }}</text>
                <text x="20" y="104" font-size="11" text-anchor="end" fill="var(--quiet)">{{ $drift['low'] }}</text>
                <line x1="26" x2="236" y1="100" y2="100" stroke="var(--rule)" />
                <path d="{{ $drift['dots'] }}" stroke="var(--deep)"
                    stroke-width="4" stroke-linecap="round" opacity="0.6" />
                @if ($drift['slope'] !== null)<line x1="26" x2="236" y1="{{ $drift['line'][0] }}" y2="{{ $drift['line'][1] }}"
                    stroke="{{ $drift['falls'] ? 'var(--signal)' : 'var(--ink)' }}" stroke-width="{{ $drift['falls'] ? 3 : 1.5 }}" />@endif
                <text x="26" y="115" font-size="11" fill="var(--quiet)">1st</text>
                <text x="236" y="115" font-size="11" text-anchor="end" fill="var(--quiet)">{{ $drift['far'] }}th</text>
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
