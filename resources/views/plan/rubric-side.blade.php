@php
    $balance = $draft->balance();
    $sum = (float) (string) $balance->sum;
    $scale = 230 / max(100, $sum);
    $y = 240;
    $faults = $draft->faults();
@endphp
<div id="sheet-side">
    <input type="hidden" name="seen" value="{{ $rubric->lock_version }}">
    <svg width="44" height="250" viewBox="0 0 44 250" role="img" aria-label="{{ $balance->sentence() }}">
        <rect x="8" y="{{ 240 - 100 * $scale }}" width="18" height="{{ 100 * $scale }}" fill="var(--sheet)" stroke="var(--quiet)" />
        @foreach (array_reverse($draft->criteria()) as $criterion)
            @php($height = (float) (string) YoungHarbor\Core\Rubric\Draft::weight($criterion) * $scale)
            @php($y -= $height)
            <rect x="8" y="{{ $y }}" width="18" height="{{ $height }}" fill="var(--deep)" fill-opacity="{{ 0.45 + 0.55 * (($loop->iteration % 3) / 2) }}" stroke="var(--sheet)"><title>{{ $criterion['title'] ?? '' }}</title></rect>
        @endforeach
        <line x1="2" x2="32" y1="{{ 240 - 100 * $scale }}" y2="{{ 240 - 100 * $scale }}" stroke="{{ $balance->isExact() ? 'var(--kelp)' : 'var(--signal)' }}" stroke-width="2.5" />
    </svg>
    <p @class(['font-bold', 'signal' => ! $balance->isExact(), 'kelp' => $balance->isExact()])>{{ YoungHarbor\Core\Marks\Figure::plain($balance->sum) }} of 100</p>
    @unless ($balance->isExact())
        <p class="small quiet">{{ YoungHarbor\Core\Marks\Figure::plain($balance->left()->abs()) }} {{ $balance->left()->isPositive() ? 'to place' : 'too much' }}</p>
        <button class="link small" name="do" value="spread">Spread the rest</button>
    @endunless
    <p class="small quiet mt-3" id="saved" role="status">Saved {{ App\Support\Clock::time($rubric->updated_at) }}</p>
    @if ($faults !== [])
        <details class="mt-2 small quiet"><summary>{{ count($faults) }} to mend before it can be ready</summary>
            <ul class="mt-1">@foreach ($faults as $fault)<li class="mb-1">{{ App\Http\Controllers\Plan\RubricController::inWords($fault, $draft) }}</li>@endforeach</ul>
        </details>
    @endif
    <noscript><button class="button mt-3" name="do" value="">Save</button></noscript>
</div>
@includeWhen($fresh, 'plan.rubric-fresh')
