@php
    use App\Enums\CorrectionKind;
    use App\Wording\LocalTime;
    $kind = $draft?->kind->value ?? old('kind', request('kind'));
@endphp
<x-page :title="'Corrections: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h2>Corrections</h2>
        <span class="quiet small">Marks moved together: looked at first, asked for with a reason, approved by someone else, taken
            back until results are out.</span>
        <a class="ml-auto" href="{{ route('alike.show', $assignment) }}">{{ __('alike.title') }}</a></div>
    <div class="split">
        <div class="min-w-0">
            @if ($why)<p class="notice refusal">{{ $why }}</p>@endif
            @if ($draft !== null)
                <section class="mb-6"><h2 class="mb-1">What it would do: {{ $draft->inWords() }}{{ $draft->marker ? ", {$draft->marker->name}" : '' }}</h2>
                    @include('alike.severity', ['working' => $draft->working])
                    @include('alike.moved')
                    @if ($preview->moved() !== [] && $preview->released() === 0)
                        <form class="panel mt-4" method="post" action="{{ route('corrections.store', $assignment) }}">@csrf
                            @foreach (['kind' => $draft->kind->value, 'constant' => $draft->constant, 'factor' => $draft->factor,
                                'marker' => $draft->marker?->public_id, 'digest' => $preview->digest()] as $name => $value)
                                @if ($value !== null)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endif
                            @endforeach
                            <x-field name="reason" label="Why" rows="2" hint="Whoever approves it reads this; the logbook keeps it." />
                            <div class="flex justify-end"><button class="button primary">Ask for it</button></div>
                        </form>
                    @elseif ($preview->released() > 0)<p class="notice refusal mt-3">{{ trans_choice('corrections.released',
                        $preview->released(), ['count' => $preview->released()]) }}</p>@endif
                </section>
            @endif
            @if ($corrections->isEmpty())
                @if ($draft === null)<x-empty title="No correction">Marks stand as markers made them. Before moving any, look whether people
                    can mark anew what was marked differently: it teaches more than a figure.</x-empty>@endif
            @else
                <h2 class="mb-1">Asked for so far</h2>
                <div class="sheet scroll"><table class="table stacked">
                    <thead><tr><th>What</th><th>Whose marks</th><th>Asked for</th><th>Status</th><th></th></tr></thead>
                    <tbody>@foreach ($corrections as $one)
                        <tr><td>{{ $one->inWords() }}</td><td>{{ $one->marker->name ?? 'every script' }}</td>
                            <td>{{ $one->asker->name }}<br><span class="quiet small">{{ LocalTime::shown($one->created_at) }}</span></td>
                            <td>{{ __("corrections.state.{$one->state->value}") }}</td>
                            <td class="num"><a href="{{ route('corrections.show', $one) }}">open</a></td></tr>
                    @endforeach</tbody></table></div>
            @endif
        </div>
        <aside><form class="panel correction" method="get" action="{{ route('corrections.index', $assignment) }}">
            <h2 class="mb-2">Look at a correction</h2>
            <fieldset class="mb-3"><legend class="label">How</legend>
                @foreach (CorrectionKind::cases() as $one)<label class="block py-1"><input type="radio" name="kind"
                    value="{{ $one->value }}" @checked($kind === $one->value)> {{ __("corrections.kind.{$one->value}") }}</label>@endforeach
                @error('kind')<p class="error">{{ $message }}</p>@enderror</fieldset>
            <div class="for-all"><x-field name="constant" label="Marks added" inputmode="decimal" :value="request('constant')"
                hint="For a constant, or a constant and a factor. Below 0 takes marks off." /></div>
            <div class="for-line"><x-field name="factor" label="Factor" inputmode="decimal" :value="request('factor')"
                hint="Each mark is multiplied by it before the constant is added." /></div>
            <div class="for-marker"><x-choice name="marker" label="Whose severity" :options="['' => 'Choose'] + $markers" :value="request('marker')"
                hint="Only marks that rest on this marker alone are moved; what two agreed never is." /></div>
            <div class="flex justify-end"><button class="button primary">See what it would do</button></div>
        </form></aside>
    </div>
</x-page>
