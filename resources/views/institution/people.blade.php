@use('App\Wording\LocalTime')
<x-page :title="__('accounts.people.title')" at="people">
    <x-slot:head><div class="heading"><h1>{{ __('accounts.people.title') }}</h1><span class="of">{{
        config('harbor.institution') }}</span><span class="ml-auto flex gap-5"><a
        href="{{ route('institution.sign-in') }}">{{ __('accounts.people.rules') }}</a><a
        href="{{ route('institution.keeping') }}">{{ __('keeping.periods.title') }}</a><a
        href="{{ route('institution.running') }}">{{ __('operations.title') }}</a></span></div></x-slot:head>
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
        <nav class="flex flex-wrap gap-x-4 gap-y-1" aria-label="{{ __('accounts.people.title') }}">
            @foreach (App\Queries\PeopleOfInstitution::SHOWN as $shown)
                @if ($counts[$shown] > 0 || $shown === 'all' || $shown === $people->shown)
                    <a href="{{ route('institution.people', ['show' => $shown]) }}"
                        @if ($people->shown === $shown) aria-current="true" class="font-bold" @endif>{{
                        __("accounts.people.shown.{$shown}") }} <span class="quiet">{{ number_format($counts[$shown]) }}</span></a>
                @endif
            @endforeach</nav>
        <form class="flex gap-2 ml-auto" method="get" action="{{ route('institution.people') }}" role="search">
            @if ($people->shown !== 'all')<input type="hidden" name="show" value="{{ $people->shown }}">@endif
            <label class="sr-only" for="f-q">{{ __('accounts.people.find_label') }}</label><input class="input w-56!" id="f-q"
                type="search" name="q" value="{{ $people->search }}" placeholder="{{ __('accounts.people.find') }}"
                maxlength="100"><button class="button">{{ __('accounts.people.find_do') }}</button></form></div>
    @if ($page->isEmpty())<p class="quiet">{{ __('accounts.people.none') }}
        <a href="{{ route('institution.people') }}">{{ __('accounts.people.everyone') }}</a></p>
    @else
        <div class="sheet scroll"><table class="table stacked">
            <thead><tr><th>{{ __('accounts.people.name') }}</th><th>{{ __('accounts.people.email') }}</th>
                <th>{{ __('accounts.people.number') }}</th><th>{{ __('accounts.people.modules') }}</th>
                <th>{{ __('accounts.people.last') }}</th><th>{{ __('accounts.people.state') }}</th></tr></thead>
            <tbody>
                @foreach ($page as $person)
                    <tr><td><a href="{{ route('institution.person', $person) }}">{{ $person->name }}</a></td>
                        <td>{{ $person->merged_into_id === null ? $person->email : '' }}</td><td>{{ $person->number }}</td>
                        <td>{{ $person->memberships->filter(fn ($one) => $one->left_at === null)
                            ->map(fn ($one) => "{$one->module->code} {$one->role->label()}")->implode(', ') }}</td>
                        <td class="lg:whitespace-nowrap" data-label="{{ __('accounts.people.last') }}">{{ $person->signed_in_at === null
                            ? __('accounts.people.never') : LocalTime::shown($person->signed_in_at) }}</td>
                        <td class="small">{{ implode(', ', array_filter([
                            $person->merged_into_id !== null ? __('accounts.people.merged')
                            : ($person->closed_at !== null ? __('accounts.people.closed') : ''),
                            $person->joined_at === null ? __('accounts.people.no_password') : '',
                            $person->hasSecondStep() ? __('accounts.people.second') : '',
                            $person->is_admin ? __('accounts.people.administrator') : '',
                        ])) }}</td></tr>
                @endforeach
            </tbody>
        </table></div>
        <x-pages :pages="$page" />
    @endif
</x-page>
