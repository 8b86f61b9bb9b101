@use('App\Wording\LocalTime')
<x-page :title="__('accounts.merge.page')" at="people">
    <x-slot:head><div class="heading"><h1>{{ __('accounts.merge.page') }}</h1><a class="of"
        href="{{ route('institution.person', $user) }}">{{ $user->name }}</a></div></x-slot:head>
    <div class="flex flex-wrap gap-4 mb-4">
        @foreach (['stays' => $user, 'goes' => $other] as $which => $one)
            <section class="panel w-96 max-w-full">
                <h2 class="mb-1">{{ __("accounts.merge.{$which}") }}</h2>
                <p class="font-bold">{{ $one->name }}</p><p>{{ $one->email }}</p>
                @if ($one->number)<p>{{ __('accounts.person.number') }} {{ $one->number }}</p>@endif
                <p class="quiet">{{ $one->memberships->map(fn ($member) => "{$member->module->code} {$member->role->label()}")
                    ->implode(', ') ?: __('accounts.person.no_modules') }}</p>
                <p class="quiet small">{{ $one->signed_in_at === null ? __('accounts.person.never')
                    : __('accounts.person.last', ['at' => LocalTime::shown($one->signed_in_at)]) }}</p>
            </section>
        @endforeach
    </div>
    @if ($outcome->obstacles !== [])
        <section class="panel max-w-3xl">
            <h2 class="mb-1">{{ __('accounts.merge.not_now') }}</h2>
            @foreach ($outcome->obstacles as $obstacle)<p class="mb-1">{{ $obstacle }}</p>@endforeach
        </section>
    @else
        <form class="panel max-w-3xl" method="post" action="{{ route('institution.merge.store', $user) }}">@csrf
            <h2 class="mb-1">{{ __('accounts.merge.would') }}</h2>
            <p class="mb-1">{{ __('accounts.merge.all') }}</p>
            @if ($outcome->taken !== [])<p class="mb-1">{{ __('accounts.merge.taken', ['modules' => implode(', ', $outcome->taken)]) }}</p>@endif
            @if ($outcome->dropped !== [])<p class="mb-1">{{ __('accounts.merge.dropped',
                ['assignments' => '“'.implode('”, “', $outcome->dropped).'”']) }}</p>@endif
            <p class="mb-1">{{ __('accounts.merge.address', ['keep' => $user->email, 'gone' => $other->email]) }}</p>
            <p class="mb-3"><b>{{ __('accounts.merge.undone') }}</b></p>
            <input type="hidden" name="gone" value="{{ $other->public_id }}">
            <x-field name="reason" :label="__('accounts.merge.reason')" required maxlength="500" />
            <div class="flex justify-end items-center gap-4"><a href="{{ route('institution.merge', [$other,
                'with' => $user->email]) }}">{{ __('accounts.merge.other_way') }}</a><button class="button primary">{{
                __('accounts.merge.do') }}</button></div>
        </form>
    @endif
</x-page>
