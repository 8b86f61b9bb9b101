<x-page :title="'As students see it: '.$rubric->title" at="rubrics">
    <x-slot:head><x-rubric-head :rubric="$rubric" here="students" /></x-slot:head>
    @if (is_array($core))
        <x-empty title="Students could not see it yet">These stand in the way:<ul class="list-disc ml-5 mt-2">
            @foreach (array_slice($core, 0, 20) as $fault)<li>{{ $fault }}</li>@endforeach</ul></x-empty>
    @else
        <div class="flex flex-wrap items-baseline gap-4 mb-4">
            <span class="quiet">{{ $core->pointsShown
                ? 'Points are shown beside the levels, before and with the result.'
                : 'Points are hidden: students read levels and words, and with the result their mark.' }}</span>
            @if ($editable)
                <form method="post" action="{{ route('rubrics.update', $rubric) }}">@csrf @method('put')
                    <input type="hidden" name="changes"
                        value="{{ json_encode([['place' => 'points_shown', 'was' => $core->pointsShown ? '1' : '',
                        'to' => $core->pointsShown ? '' : '1']]) }}">
                    <input type="hidden" name="from"
                        value="students"><button class="link">
                        {{ $core->pointsShown ? 'Hide the points' : 'Show the points' }}</button></form>
            @else<span class="quiet small">(set while it is a working copy)</span>@endif
        </div>
        <x-rubric-view :rubric="$core" />
    @endif
</x-page>
