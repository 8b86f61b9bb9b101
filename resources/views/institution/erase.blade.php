<x-page :title="__('keeping.erase.page', ['name' => $user->name])" at="people">
    <x-slot:head><div class="heading"><h1>{{ __('keeping.erase.page', ['name' => $user->name]) }}</h1><a class="of"
        href="{{ route('institution.person', $user) }}">{{ $user->name }}</a></div></x-slot:head>
    <div class="split">
        <div class="max-w-3xl">
            @if ($obstacles !== [])
                <section class="panel mb-4"><h2 class="mb-1">{{ __('keeping.erase.not_now') }}</h2>
                    @foreach ($obstacles as $obstacle)<p class="mb-1">{{ $obstacle }}</p>@endforeach</section>
            @endif
            <section class="panel mb-4">
                <h2 class="mb-1">{{ __('keeping.erase.goes') }}</h2>
                <p class="mb-4">{{ __('keeping.erase.goes_what') }}</p>
                <h2 class="mb-1">{{ __('keeping.erase.stays') }}</h2>
                <p class="mb-1">{{ __('keeping.erase.stays_what') }}</p>
                <p>{{ __('keeping.erase.backups') }}</p>
            </section>
            @if ($obstacles === [])
                <form class="panel" method="post" action="{{ route('institution.erase.store', $user) }}">@csrf
                    <x-field name="reason" :label="__('keeping.erase.reason')" required maxlength="400" />
                    <x-field name="confirm" :label="__('keeping.erase.confirm')" autocomplete="off" required />
                    <div class="flex justify-end"><button class="button primary">{{ __('keeping.erase.do') }}</button></div>
                </form>
            @endif
        </div>
        <aside>
            <section class="panel mb-4">
                <h2 class="mb-1">{{ __('keeping.title_of', ['name' => $user->name]) }}</h2>
                <table class="table"><tbody>@foreach ($counts as $kind => $count)
                    <tr><td>{{ __("keeping.kinds.{$kind}.0") }}</td><td class="num">{{ number_format($count) }}</td></tr>
                @endforeach</tbody></table>
            </section>
            <form class="panel" method="post" action="{{ route('institution.hold', $user) }}">@csrf @method('put')
                <h2>{{ __('keeping.erase.hold') }}</h2>
                @if ($user->hold_reason === null)
                    <p class="hint mb-2">{{ __('keeping.erase.hold_what') }}</p>
                    <label class="label" for="r-hold">{{ __('keeping.erase.hold_reason') }}</label>
                    <input class="input mb-2" id="r-hold" name="reason" maxlength="500" required>
                    <div class="flex justify-end"><button class="button">{{ __('keeping.erase.hold_set') }}</button></div>
                @else
                    <p class="mb-2">{{ __('keeping.erase.hold_stands', ['reason' => $user->hold_reason]) }}</p>
                    <input type="hidden" name="end" value="1">
                    <div class="flex justify-end"><button class="button">{{ __('keeping.erase.hold_end') }}</button></div>
                @endif
            </form>
        </aside>
    </div>
</x-page>
