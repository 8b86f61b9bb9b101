{{-- What a result says about the work: where to start, each criterion with its levels, the text with its comments. --}}
@php($first = array_filter($d['comments'] ?? [], fn ($one) => $one['starred'] ?? false))
@if ($first !== [])
    <section class="panel mb-5"><h2 class="mb-2">{{ __('release.start_here') }}</h2>
        @foreach ($first as $one)<div class="mb-3">
            @include('release.comment',
            ['place' => false, 'back' => true, 'quoted' => true])</div>@endforeach
    </section>
@endif
@foreach ($d['criteria'] as $criterion)
    <section class="mb-5">
        <div class="flex items-baseline gap-2 mb-1">
            <h2>{{ $criterion['title'] }}</h2>@if ($criterion['weight'])<span
            class="quiet small">{{ $criterion['weight'] }}
            % of the mark</span>@endif<span class="ml-auto">@if (! $criterion['applies'])<span
                class="quiet">does not apply to your work</span>@elseif ($criterion['points'] !== null
                && $shown)<b>{{ $criterion['points'] }}</b>
                <span class="quiet">of {{ $criterion['max'] }}</span>@endif</span></div>
        @if ($criterion['levels'] !== [])
            <div class="levels">
                @foreach ($criterion['levels'] as $level)
                    <div @class(['reached' => $level['reached']])>
                        @if ($level['reached'])<b>{{ $criterion['between']
                        ? 'Yours: between this level and the next.' : 'Yours.' }}</b>
                        @endif<span class="small">{{ $level['title'] }}@if ($shown)
                        · {{ $level['points'] }}@endif</span><br>{{ $level['descriptor'] }}</div>
                @endforeach
            </div>
            @foreach ($criterion['levels'] as $level)
                @if ($level['reached'] && $level['guidance'] !== '')<p class="mt-1">
                    To reach the next level: {{ $level['guidance'] }}</p>@endif
            @endforeach
        @endif
        @if (($criterion['steps'] ?? []) !== [])
            <ul class="sheet px-4 py-2">
                @foreach ($criterion['steps'] as $step)<li class="flex gap-3 py-1">
                <span class="grow">{{ $step['title'] }}</span><b
                class="whitespace-nowrap">{{ $step['state'] }}</b>@if ($shown)<span
                class="quiet whitespace-nowrap">of {{ $step['points'] }}</span>@endif</li>@endforeach</ul>
        @endif
        @if ($criterion['comment'] !== '')<div data-comment="{{ $criterion['id'] ?? '' }}"
            class="said mt-2 pl-3 border-l-4 border-rule"
            dir="auto">{!! YoungHarbor\Core\Text\LightMarkup::html($criterion['comment']) !!}</div>@endif
        @if ($own)@include('release.own-thread', ['about' => "criterion:{$criterion['id']}"])@endif
    </section>
@endforeach
@include('release.result-text')
