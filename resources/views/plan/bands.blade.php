<x-page :title="'Grade bands: '.$module->code" at="modules">
    <x-slot:head><div class="heading">
        <h1>Grade bands</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <form class="flex items-end gap-3 mb-5" method="get" action="{{ route('bands.index', $module) }}">
        <label><span class="label">A mark or a band</span><input class="input" name="turn" value="{{ $asked }}"
            placeholder="69.5 or B2"></label>
        <button class="button">Convert</button>
        <span class="quiet small">a mark into its band, a band into the mark it stands for, on every scale</span>
    </form>
    <div class="grid md:grid-cols-2 xl:grid-cols-3 gap-5 items-start">
        @foreach ($scales as $key => $scale)
            <section class="panel">
                <div class="flex items-baseline gap-3 mb-1"><h2>{{ $scale->name }}</h2>
                    @if (isset($own[$key]))<a class="ml-auto small"
                        href="{{ route('bands.edit',
                        $own[$key]) }}">Change</a>@else<span class="ml-auto quiet small">built in</span>@endif
                    <a class="small" href="{{ route('bands.create', [$module, 'from' => $key]) }}">Copy</a></div>
                @isset($answers[$key])<p class="font-bold kelp mb-1">{{ ucfirst($answers[$key]) }}</p>@endisset
                <p class="quiet small mb-2">{{ __('plan.boundary.'.$scale->boundary->value) }}</p>
                <table class="table small">
                    <thead><tr><th>Band</th><th class="num">From</th><th class="num">Stands for</th></tr></thead>
                    <tbody>@foreach (array_reverse($scale->bands) as $band)<tr><td>{{ $band->name }}</td>
                    <td class="num">{{ YoungHarbor\Core\Figures\Figure::plain($band->from) }}</td>
                    <td class="num">{{ $band->value === null ? '–'
                        : YoungHarbor\Core\Figures\Figure::plain($band->value) }}</td></tr>@endforeach</tbody>
                </table>
            </section>
        @endforeach
    </div>
    <div class="flex justify-end mt-5"><a class="button primary"
        href="{{ route('bands.create', $module) }}">Make bands of your own</a></div>
</x-page>
