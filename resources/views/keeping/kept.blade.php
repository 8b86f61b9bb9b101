@use('App\Wording\Months')
@use('YoungHarbor\Core\Keeping\Kind')
<x-page :title="__('keeping.title')" at="account">
    <x-slot:head><div class="heading"><h1>{{ __('keeping.title') }}</h1><a class="of" href="{{ route('account') }}">{{
        auth()->user()->email }}</a></div></x-slot:head>
    <div class="split">
        <div>
            <p class="mb-4 max-w-2xl">{{ __('keeping.intro', ['institution' => config('harbor.institution')]) }}
                {{ __('keeping.staff_only') }}</p>
            @foreach ($groups as $group => $kinds)
                @php($there = array_filter($kinds, fn ($kind) => isset($counts[$kind->name]) && $kind->shown))
                @php($unseen = array_filter($kinds, fn ($kind) => ! $kind->shown))
                @if ($there !== [] || ($unseen !== [] && $group !== 'staff'))
                    <h2 class="mb-1 mt-5">{{ __("keeping.groups.{$group}") }}</h2>
                    <div class="sheet scroll"><table class="table"><tbody>
                        @foreach ($there as $kind)
                            <tr><td><b>{{ __("keeping.kinds.{$kind->name}.0") }}</b>, {{ __("keeping.kinds.{$kind->name}.1") }}</td>
                                <td class="num align-top">{{ number_format($counts[$kind->name]) }}</td></tr>
                        @endforeach
                        @if ($group !== 'staff')
                            @foreach ($unseen as $kind)
                                <tr><td class="quiet"><b>{{ __("keeping.kinds.{$kind->name}.0") }}</b>, {{
                                    __("keeping.kinds.{$kind->name}.1") }}</td><td></td></tr>
                            @endforeach
                        @endif
                    </tbody></table></div>
                @endif
            @endforeach
        </div>
        <aside>
            <form class="panel mb-4" method="post" action="{{ route('kept.download') }}">@csrf
                <h2>{{ __('keeping.download') }}</h2>
                <p class="hint mb-3">{{ __('keeping.download_what') }}</p>
                <x-field name="current_password" :label="__('keeping.password')" type="password"
                    autocomplete="current-password" required />
                <div class="flex justify-end"><button class="button primary">{{ __('keeping.do') }}</button></div>
            </form>
            <section class="panel"><h2>{{ __('keeping.how_long') }}</h2>
                @php($line = fn ($of) => collect(Kind::cases())->filter(fn ($kind) => $of->months($kind) !== null)->map(fn ($kind) => __(
                    'keeping.how_long_one', ['kind' => __("keeping.periods.kinds.{$kind->value}.0"), 'months' => Months::shown($of->months($kind))])))
                @if ($periods->isEmpty() && $others->isEmpty())<p>{{ __('keeping.how_long_none') }}</p>
                @else<p>{{ __('keeping.how_long_periods') }}</p>
                    <ul class="my-2">@foreach ($line($periods) as $one)<li>{{ $one }}</li>@endforeach
                    @foreach ($others as $module)<li>{{ __('keeping.how_long_in', ['module' => $module->fullTitle(),
                        'what' => $line($module->keeping)->implode(', ')]) }}</li>@endforeach</ul>@endif
                <p>{{ __('keeping.how_long_what') }}</p></section>
        </aside>
    </div>
</x-page>
