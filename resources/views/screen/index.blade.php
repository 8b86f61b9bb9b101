<x-page :title="'Screen: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Screen" /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1 mb-3">
        <h2>Text that also stands elsewhere</h2>
        <span class="quiet small">Runs of {{ $assignment->overlap_min_words }} words or more that also stand in another hand-in of this assignment. What a share means, people decide.</span>
    </div>
    @if ($scripts->isEmpty())
        <x-empty title="Nothing to compare yet">Each hand-in is compared with the others as it comes in.</x-empty>
    @else
        @include('screen.table')
        <div class="flex justify-between items-center mt-3">
            <span class="quiet small">Lines: look from {{ config('harbor.overlap.look') }} %, look closely from {{ config('harbor.overlap.look_closely') }} % (dashed).</span>
            <form class="flex gap-3" method="post" action="{{ route('screen.rerun', $assignment) }}">@csrf
                @if (($states['failed'] ?? 0) > 0)<button class="button" name="which" value="failed">Try the failed ones again</button>@endif
                <button class="button" name="which" value="all">Compare all again</button>
            </form>
        </div>
    @endif
</x-page>
