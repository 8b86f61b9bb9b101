{{-- The marks of a frozen script, beside each other. --}}
@php $columns = count($d['marks']) > 2 ? 'sides three' : 'sides'; @endphp
<div class="{{ $columns }} mb-4">@foreach ($d['marks'] as $mark)<div class="panel"><span class="quiet small">{{ ucfirst(__(
    "mark.seat.{$mark['seat']}")) }}{{ $mark['seat'] === 'first' ? '' : ', '.__("moderate.seen.{$mark['view']}") }}</span><br>
    <b class="text-2xl">{{ $mark['total'] }}</b><br><span class="quiet small">marker {{ $mark['marker'] }}</span>
    @if ($mark['agrees'])<br><span class="kelp small">agrees with the first mark</span>@endif
    @if ($mark['reason'] !== '')<p class="small mt-1 whitespace-pre-line">{{ $mark['reason'] }}</p>@endif</div>@endforeach</div>
@foreach ($d['marks'][0]['criteria'] ?? [] as $n => $criterion)
    <section class="mb-4"><h3 class="mb-1">{{ $criterion['title'] }}</h3>
        <div class="{{ $columns }}">@foreach ($d['marks'] as $mark)
            @php $set = $mark['criteria'][$n] ?? null; @endphp
            <div class="sheet px-4 py-3">@if ($set)<b>{{ $set['points'] ?? '–' }}</b>
                <span class="quiet">of {{ $set['max'] }}{{ $set['said'] === '' ? '' : ', '.$set['said'] }}</span>
                @if ($set['comment'] !== '')<p class="mt-1 whitespace-pre-line">{{ $set['comment'] }}</p>@endif @endif</div>
        @endforeach</div></section>
@endforeach
<section class="mb-4"><h3 class="mb-1">In general</h3><div class="{{ $columns }}">@foreach ($d['marks'] as $mark)<div
    class="sheet px-4 py-3 whitespace-pre-line">{{ $mark['general'] === '' ? '–' : $mark['general'] }}</div>@endforeach</div>
</section>
