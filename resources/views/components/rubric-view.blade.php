{{-- A rubric as students read it before they write: exactly as it will be marked. --}}
@props(['rubric', 'points' => null, 'choices' => YoungHarbor\Core\Rubric\CriterionMarks::usual()])
@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\{ChecklistCriterion, CommentCriterion, LevelCriterion, MarkForm, ScaleCriterion};
    $shown = $points ?? $rubric->pointsShown;
@endphp
@foreach ($rubric->criteria as $criterion)
    <section class="mb-4">
        <h3>{{ $criterion->title() }}
        <span class="quiet small font-normal">@if (! $criterion->weight()
            ->isZero()){{ Figure::plain($criterion->weight()) }} % of the mark
            @elseif ($criterion instanceof CommentCriterion)a comment, no mark
            @elseif ($shown){{ Figure::plain($criterion->max()) }} points
            @endif{{ $criterion->optional() ? '· optional' : '' }}</span></h3>
        @if ($criterion->purpose() !== '')<p class="quiet small mb-1">{{ $criterion->purpose() }}</p>@endif
        @if ($criterion instanceof LevelCriterion)
            <div class="levels mt-1">
                @foreach ($criterion->usable() as $level)
                    <div @class(['reached' => $choices->on($criterion->id())->level === $level->id
                        || in_array($level->id, $choices->on($criterion->id())->between ?? [], true)])>
                        <b class="text-ink">{{ $level->title }}</b>@if ($shown)
                        · {{ MarkForm::range($level) ?: Figure::plain(
                            $level->points) }}@endif<br>{{ $level->descriptor }}</div>
                @endforeach
            </div>
        @elseif ($criterion instanceof ScaleCriterion)
            <p>A number from {{ Figure::plain($criterion->min) }} to {{ Figure::plain($criterion->highest) }}.</p>
        @elseif ($criterion instanceof ChecklistCriterion)
            <ul class="sheet px-4 py-2">
                @foreach ($criterion->items as $item)<li class="flex gap-3 py-1">
                <span class="grow">{{ $item->title }}</span>@if ($shown)<span
                class="quiet whitespace-nowrap">{{ Figure::plain($item->points) }}</span>@endif</li>@endforeach</ul>
        @endif
    </section>
@endforeach
