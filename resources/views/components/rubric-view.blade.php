{{-- A rubric as students read it before they write: exactly as it will be marked. --}}
@props(['rubric'])
@foreach ($rubric->criteria as $criterion)
    <section class="mb-4">
        <h3>{{ $criterion->title() }} <span class="quiet small font-normal">@if (! $criterion->weight()->isZero()){{ YoungHarbor\Core\Marks\Figure::plain($criterion->weight()) }} % of the mark @endif</span></h3>
        @if ($criterion->purpose() !== '')<p class="quiet small mb-1">{{ $criterion->purpose() }}</p>@endif
        @if ($criterion instanceof YoungHarbor\Core\Rubric\LevelCriterion)
            <div class="levels mt-1">
                @foreach ($criterion->usable() as $level)
                    <div><b class="text-ink">{{ $level->title }}</b> · {{ YoungHarbor\Core\Marks\Figure::plain($level->points) }}<br>{{ $level->descriptor }}</div>
                @endforeach
            </div>
        @endif
    </section>
@endforeach
