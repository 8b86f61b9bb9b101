@php
    use App\Http\Controllers\Plan\RubricController;
    use YoungHarbor\Core\Figures\Figure;
    $inPercent = $draft->weighting() === YoungHarbor\Core\Rubric\Weighting::Percent;
    $balance = $draft->balance();
    $sum = (float) (string) $balance->sum;
    $scale = 190 / max(100, $sum);
    $y = 200;
    $faults = $draft->faults($made);
    $advice = YoungHarbor\Core\Rubric\Advice::on($draft, $made);
    $scored = array_filter($draft->criteria(),
        fn ($c) => YoungHarbor\Core\Rubric\Draft::kindOf($c) !== YoungHarbor\Core\Rubric\CriterionKind::Comment);
@endphp
<div id="sheet-side" class="small" data-version="{{ $behind ?? false ? 0 : $rubric->lock_version }}"
    data-news="{{ route('rubrics.news', $rubric) }}">
    <input type="hidden" name="seen" value="{{ $rubric->lock_version }}">
    <div class="flex gap-4 mb-3">
        <button class="link" name="do" value="undo" @disabled($undo === null)
            title="{{ $undo === null ? 'nothing to undo' : 'undo: '.$undo }}">undo</button>
        <button class="link" name="do" value="redo" @disabled($redo === null)
            title="{{ $redo === null ? 'nothing to redo' : 'redo: '.$redo }}">redo</button>
    </div>
    @if ($inPercent)
        <div class="flex gap-3">
            <svg class="flex-none" width="34" height="210" viewBox="0 0 34 210" role="img"
                aria-label="{{ $balance->sentence() }}">
                <rect x="6" y="{{ 200 - 100 * $scale }}" width="18" height="{{ 100 * $scale }}" fill="var(--sheet)"
                    stroke="var(--quiet)" />
                @foreach (array_reverse($scored) as $criterion)
                    @php($height = (float) (string) YoungHarbor\Core\Rubric\Draft::weight($criterion) * $scale)
                    @php($y -= $height)
                    <rect x="6" y="{{ $y }}" width="18" height="{{ $height }}" fill="var(--deep)"
                        fill-opacity="{{ 0.45 + 0.55 * (($loop->iteration % 3) / 2) }}" stroke="var(--sheet)">
                        <title>{{ $draft->get("criteria.{$criterion['id']}.title") }}</title></rect>
                @endforeach
                <line x1="1" x2="30" y1="{{ 200 - 100 * $scale }}" y2="{{ 200 - 100 * $scale }}"
                    stroke="{{ $balance->isExact() ? 'var(--kelp)' : 'var(--signal)' }}" stroke-width="2.5" />
            </svg>
            <div>
                <p @class(['font-bold', 'signal' => ! $balance->isExact(), 'kelp' => $balance->isExact()])>
                    {{ Figure::plain($balance->sum) }} of 100</p>
                @unless ($balance->isExact())
                    <p class="quiet mb-2">{{ Figure::plain($balance->left()->abs()) }}
                    {{ $balance->left()->isPositive() ? 'to place' : 'too much' }}</p>
                    <button class="link block text-left mb-1" name="do" value="spread"
                        title="evenly over the criteria whose weight does not stay; those without a weight first">
                        Spread the rest</button>
                    <button class="link block text-left" name="do" value="spread-in-proportion"
                        title="the others keep their proportions; weights that stay are left alone">
                        in proportion</button>
                @endunless
            </div>
        </div>
    @else
        <p class="font-bold">{{ $counts['all'] }} points in all</p>
        <p class="quiet">A criterion counts as much as its highest points.</p>
    @endif
    <p class="quiet mt-3" id="saved" role="status"
        data-saved="Saved {{ App\Wording\LocalTime::time($rubric->updated_at) }}">
        Saved {{ App\Wording\LocalTime::time($rubric->updated_at) }}</p>
    @if ($faults !== [])
        <details class="mt-2" data-keeps="faults">
            <summary class="signal">{{ count($faults) }} to mend before it can be ready</summary>
            <ul class="mt-1 quiet">@foreach (array_slice($faults, 0, 30) as $fault)
            <li class="mb-1 break-words">{{ RubricController::inWords($fault, $draft) }}</li>@endforeach</ul>
        </details>
    @endif
    @if ($advice !== [])
        <details class="mt-2" data-keeps="advice"><summary>{{ count($advice) }} to think about</summary>
            <ul class="mt-1 quiet">@foreach (array_slice($advice, 0, 30) as $remark)
            <li class="mb-2 break-words">{{ $remark->sentence }}</li>@endforeach</ul>
        </details>
    @endif
    <noscript><button class="button mt-3" name="do" value="">Save</button></noscript>
</div>
@includeWhen($fresh, 'plan.rubric-fresh')
