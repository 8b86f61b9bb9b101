@php
    use App\Wording\LocalTime;
    $at = fn ($round): string => match (true) {
        $round->isClosed() => 'closed', $round->given_at !== null => 'under-way', $round->isOpened() => 'shown',
        default => 'planned',
    };
@endphp
<x-page :title="__('peers.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'peers'])
    @if ($rounds->isEmpty())
        <x-empty :title="__('peers.none')">{{ __('peers.none_body') }}
            <p class="mt-3"><a class="button primary"
                href="{{ route('rounds.create', $assignment) }}">{{ __('peers.new') }}</a></p></x-empty>
    @else
        <div class="sheet scroll mb-4"><table class="table stacked">
            <thead><tr><th>Round</th><th>State</th><th>Students</th><th>Given out</th><th>Due</th>
            <th>In the mark</th></tr></thead>
            <tbody>@foreach ($rounds as $round)
                <tr><td><a class="font-bold" href="{{ route('rounds.staff', $round) }}">{{ $round->title }}</a></td>
                    <td data-label="State">{{ __('peers.round_state.'.$at($round)) }}</td>
                    <td data-label="Students">{{ __('peers.kind.'.($round->settings->peers
                        ? ($round->settings->self ? 'both' : 'peers') : 'self')) }}, {{ __(
                            'peers.on_short.'.$round->settings->on->value) }}</td>
                    <td data-label="Given out">{{ LocalTime::shown($round->begins_at) }}</td>
                    <td data-label="Due">{{ LocalTime::shown($round->due_at) }}</td>
                    <td data-label="In the mark">@if ($round->settings->counts()){{ implode(', ', array_filter([
                        $round->settings->share > 0 ? $round->settings->share.' % peers' : '',
                        $round->settings->reviewing > 0 ? $round->settings->reviewing.' % for reviewing' : '',
                        ])) }}@else nothing @endif</td></tr>
            @endforeach</tbody></table></div>
        <p><a class="button" href="{{ route('rounds.create', $assignment) }}">{{ __('peers.new') }}</a></p>
    @endif
</x-page>
