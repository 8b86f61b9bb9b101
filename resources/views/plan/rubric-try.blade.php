<x-page :title="'Try: '.$rubric->title" at="rubrics">
    <x-slot:head><x-rubric-head :rubric="$rubric" here="try" /></x-slot:head>
    @isset($faults)
        <x-empty title="It cannot be tried yet">These stand in the way:<ul class="list-disc ml-5 mt-2">
            @foreach (array_slice($faults, 0, 20) as $fault)<li>{{ $fault }}</li>@endforeach</ul></x-empty>
    @else
        <p class="quiet mb-3">Choose as a marker would. Nothing is stored.</p>
        <form class="split" method="post" action="{{ route('rubrics.try', $rubric) }}"
            hx-post="{{ route('rubrics.try', $rubric) }}" hx-trigger="change, input delay:400ms" hx-target="#tried"
            hx-swap="outerHTML" hx-sync="this:replace" data-rails>
            @csrf
            <div class="sheet max-w-3xl">
                @foreach ($core->criteria as $criterion)
                    <div class="criterion"><fieldset><x-mark-criterion :criterion="$criterion"
                        :set="$marks->on($criterion->id())" :prefix="'marks['.$criterion->id().']'" /></fieldset></div>
                @endforeach
                <noscript><div class="p-4"><button class="button">Work it out</button></div></noscript>
            </div>
            <aside>@include('plan.rubric-tried')</aside>
        </form>
    @endisset
</x-page>
