@php
    use App\Wording\AlikeWords;
    use App\Wording\LocalTime;
    $markers = $figures['markers'];
    $bands = $assignment->scale()->bands;
@endphp
<x-page :title="__('alike.title').' '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h2>{{ __('alike.title') }}</h2>
        <span class="quiet small">worked out {{ LocalTime::shown($at) }}, from the marks as they are now</span>
        <span class="ml-auto flex gap-x-5">
            @can('correct', $assignment)<a href="{{ route('corrections.index', $assignment) }}">Corrections</a>@endcan
            <a href="{{ route('alike.module', $assignment->module) }}">the whole of {{ $assignment->module->code }}</a>
            <a href="{{ route('moderate.index', $assignment) }}">all scripts</a></span></div>
    @foreach (AlikeWords::basis($figures) as $sentence)<p class="max-w-[46rem] mb-1">{{ $sentence }}</p>@endforeach
    @if ($figures['firsts'] > 0 && $reader->seesAll)<p class="max-w-[46rem] mt-2 font-bold">{{
        implode(' ', AlikeWords::standOut($markers, $reader->name(...), $figures['sets'])) }}</p>@endif
    @if ($figures['firsts'] === 0)
        <x-empty title="No mark is done yet">What this page says comes from finished marks. Come back when marking is under way.</x-empty>
    @else
        @if ($reader->waits)
            <p class="notice mt-3 mb-5 max-w-[46rem]">{{ __('alike.waits') }}</p>
        @else
            <section class="mt-5 mb-6"><h2 class="mb-1">Markers</h2>
                @include('alike.markers')
            </section>
        @endif
        @if ($figures['pairs'] > 0 && ! $reader->waits)
            <section class="mb-6"><h2 class="mb-1">Two marks on one script</h2>
                @include('alike.differences')
            </section>
            <section class="mb-6"><h2 class="mb-1">Which criterion we read differently</h2>
                @include('alike.criteria')
            </section>
        @endif
        <section class="mb-6" id="sittings"><h2 class="mb-1">Within a sitting</h2>
            @include('alike.sittings')
        </section>
        <section class="mb-6" id="bands"><h2 class="mb-1">How marks lie</h2>
            @include('alike.bands')
        </section>
        @if ($figures['pairs'] > 0 && ! $reader->waits)
            <section class="mb-6"><h2 class="mb-1">Coefficients</h2>
                @include('alike.coefficients')
            </section>
        @endif
    @endif
</x-page>
