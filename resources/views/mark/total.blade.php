@php
    use YoungHarbor\Core\Figures\Figure;
    $missing = array_map(fn ($criterion) => $criterion->title(), $score->missing());
    $out = (float) (string) $score->outOf;
    $x = 0;
@endphp
<div id="total" class="px-4 pt-3 pb-3 border-b border-rule">
    <div class="flex items-baseline gap-2">
        <b class="text-2xl">{{ $score->total }}</b>
        <span class="quiet small whitespace-nowrap">of {{ Figure::plain($score->outOf) }}{{ $missing === [] ? ''
            : ' so far' }}</span>
        @if ($missing !== [])<span class="signal small truncate min-w-0"
            title="{{ implode(', ', $missing) }}">{{ count($missing) === count($score->lines) ? 'nothing set yet'
            : implode(', ', $missing).' missing' }}</span>@endif
        <span class="ml-auto flex gap-3 small"><button class="link" type="button" data-opens="working"
            data-do="working">working</button>
            <button class="link" type="button" data-opens="whole" data-do="rubric"
                hx-get="{{ route('mark.rubric', $mark) }}" hx-target="#whole-body">rubric</button>
                @unless ($mark->isStudents())<button class="link" type="button" data-opens="levels"
                data-do="levels">levels</button>@endunless</span>
    </div>
    <svg class="mt-2 block" width="100%" height="17" viewBox="0 0 404 17" preserveAspectRatio="none" role="img"
        aria-label="{{ $score->total }} of {{ Figure::plain($score->outOf) }}">
        @foreach ($score->lines as $line)
            @continue(! $line->applicable)
            @php($width = $line->effectiveWeight->toFloat() / $out * 402)
            <rect class="bar-rest" x="{{ round($x + 1, 2) }}" y="1" width="{{ round($width, 2) }}" height="15" />
            <rect class="bar-part" x="{{ round($x + 1, 2) }}" y="1"
                width="{{ round($line->contribution->toFloat() / $out * 402, 2) }}" height="15"
                fill-opacity="{{ [1, 0.75, 0.55][$loop->index % 3] }}">
                <title>{{ $line->criterion->title() }}</title></rect>
            @php($x += $width)
        @endforeach
    </svg>
    <dialog id="working" aria-labelledby="working-title">
        <h2 id="working-title" class="mb-2">How {{ $score->total }} came about</h2>
        <x-working :lines="$working->toArray()" />
        <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
    </dialog>
</div>
@isset($saved)<span id="saved" role="status"
    hx-swap-oob="true">Saved {{ App\Wording\LocalTime::time($saved) }}</span>@endisset
