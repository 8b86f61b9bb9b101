@php
    use App\Queries\Moderate\SampleScope;
    use App\Wording\SampleWords;
    use YoungHarbor\Core\Marking\SecondMarks;
    $more = $scope === SampleScope::More;
    $finished = count(array_filter($shares, fn ($one) => $one->isFinished()));
@endphp
<x-page :title="'Sample: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    @if ($assignment->scheme->second !== SecondMarks::Sample)
        <x-empty title="No sample is drawn here">{{ ucfirst(App\Wording\SecondMarking::short($assignment->scheme)) }}.
            <a href="{{ route('plan.edit', $assignment) }}#settling">How this assignment’s marks settle</a></x-empty>
    @else
        <div class="flex flex-wrap items-baseline gap-x-5 mb-2">
            <h2>{{ $more ? 'Draw more scripts' : ($samples->isEmpty() ? 'Draw the sample' : 'Draw from what came in since') }}</h2>
            <span class="quiet small">{{ App\Wording\SecondMarking::rule($assignment->scheme->sample()) }}</span>
            <a class="ml-auto" href="{{ route('moderate.index', $assignment) }}">all scripts</a>
        </div>
        <div class="split">
            <div class="min-w-0">
                @if ($draft === null)
                    <x-empty :title="$more ? 'Nothing more can be drawn' : 'Nothing to draw yet'">
                        {{ $shares === [] ? 'Scripts have to be shared out and marked first.'
                        : ($more ? 'Every script that could be drawn is in a sample, or its result is out.'
                        : 'Of those you chose, nobody has finished first marks of which no sample has been drawn.') }}</x-empty>
                @else
                    @include('moderate.sample-draft')
                @endif
            </div>
            <aside>
                <form class="panel mb-4" method="get" action="{{ route('sample.index', $assignment) }}">
                    <fieldset><legend class="label mb-1">Drawn from the scripts of</legend>
                        <table class="w-full small"><thead class="sr-only"><tr><th>Marker</th><th>First marks done</th></tr>
                        </thead><tbody>
                            @foreach ($shares as $one)
                                <tr><td class="py-1"><label class="flex items-center gap-2"><input type="checkbox"
                                    name="markers[]" value="{{ $one->id }}" @checked(in_array($one->id, $markers, true))
                                    @disabled($one->open === 0)> <span>{{ $one->name }}</span></label></td>
                                    <td class="py-1 text-right quiet">{{ $one->isFinished() ? 'all '.$one->done
                                    : $one->done.' of '.$one->scripts }} marked{{ $one->open === $one->done ? ''
                                    : ', '.$one->open.' to draw from' }}</td></tr>
                            @endforeach
                        </tbody></table>
                        <p class="hint mt-1">{{ $finished === count($shares)
                            ? 'Every first mark is in.'
                            : 'Whoever has finished is ticked. Of a part of the scripts as large a part is drawn as of the whole.' }}</p>
                    </fieldset>
                    @if ($more)
                        <input type="hidden" name="scope" value="more">
                        <x-field name="drawn" label="So many more" inputmode="numeric" :value="$drawn" />
                    @endif
                    <div class="flex justify-end"><button class="button">Preview</button></div>
                </form>
                @if ($draft !== null && $draft->sample->scripts !== [])
                    <form class="panel mb-4" method="post" action="{{ route('sample.store', $assignment) }}">@csrf
                        <input type="hidden" name="digest" value="{{ $draft->digest }}">
                        <input type="hidden" name="scope" value="{{ $scope->value }}">
                        @if ($more)<input type="hidden" name="drawn" value="{{ $drawn }}">@endif
                        @foreach ($markers as $marker)<input type="hidden" name="markers[]" value="{{ $marker }}">@endforeach
                        <p class="mb-3">{{ SampleWords::whatHappens($draft, $assignment->scheme, $more) }}</p>
                        @if ($more)<x-field name="reason" label="Why more" rows="3"
                            hint="The examiner and the logbook show this." />@endif
                        <div class="flex justify-end"><button class="button primary">Draw {{ count($draft->sample->scripts)
                            === 1 ? '1 script' : count($draft->sample->scripts).' scripts' }} and give them out</button></div>
                    </form>
                @endif
                @if ($samples->isNotEmpty())
                    <div class="panel"><h2 class="mb-1">Drawn so far</h2>
                        @foreach ($samples as $one)
                            <p class="small mb-2"><b>{{ $one->scripts_count }} of {{ $one->from }}</b>,
                                {{ $one->drawn }} by lot, {{ App\Wording\LocalTime::shown($one->created_at) }}
                                by {{ $one->maker->name }}@if ($one->reason !== ''): {{ $one->reason }}@endif
                                <span class="quiet">seed {{ $one->seed }}</span></p>
                        @endforeach
                        @unless ($more)<p class="small"><a href="{{ route('sample.index', [$assignment, 'scope' => 'more']) }}">Draw more, or all of a marker’s</a></p>
                        @else<p class="small"><a href="{{ route('sample.index', $assignment) }}">Back to what came in since</a></p>@endunless
                    </div>
                @endif
            </aside>
        </div>
    @endif
</x-page>
