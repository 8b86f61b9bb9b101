@use('App\Wording\LocalTime')
<x-page :title="$user->name" at="people">
    <x-slot:head><div class="heading"><h1>{{ $user->name }}</h1><a class="of" href="{{ route('institution.people') }}">{{
        __('accounts.people.title') }}</a></div></x-slot:head>
    @if ($user->mergedInto)<p class="notice mb-4">{{ __('accounts.closed.merged') }}
        <a href="{{ route('institution.person', $user->mergedInto) }}">{{ $user->mergedInto->name }}</a></p>@endif
    @if ($erasure)<p class="notice mb-4">{{ __('keeping.erase.done', ['at' => LocalTime::shown($erasure->erased_at),
        'who' => $erasure->by->name, 'reason' => $erasure->reason]) }}
        {{ trans_choice('keeping.erase.done_files', $erasure->counts['files'] ?? 0) }}
        {{ trans_choice('keeping.erase.done_names', $erasure->counts['names'] ?? 0) }}</p>@endif
    <div class="flex flex-wrap items-start gap-4">
        <div class="grid gap-4 w-[30rem] max-w-full">
            @unless ($user->mergedInto || $erasure)
                <form class="panel" method="post" action="{{ route('institution.person.update', $user) }}">@csrf @method('put')
                    <input type="hidden" name="seen" value="{{ $user->detailsDigest() }}">
                    <h2 class="mb-2">{{ __('accounts.person.details') }}</h2>
                    <x-field name="name" :label="__('accounts.person.name')" :value="$user->name" required maxlength="150" />
                    <div class="grid sm:grid-cols-2 gap-4">
                        <x-field name="given_name" :label="__('accounts.person.given_name')" :value="$user->given_name" maxlength="75" />
                        <x-field name="family_name" :label="__('accounts.person.family_name')" :value="$user->family_name"
                            maxlength="75" :hint="__('accounts.person.parts_hint')" /></div>
                    <x-field name="email" :label="__('accounts.person.email')" type="email" :value="$user->email" required />
                    <x-field name="number" :label="__('accounts.person.number')" :value="$user->number" maxlength="40" />
                    <p class="hint mb-2">{{ __('accounts.person.details_what') }}</p>
                    <div class="flex justify-end"><button class="button primary">{{ __('accounts.person.save') }}</button></div>
                </form>
            @endunless
            <section class="panel">
                <h2 class="mb-2">{{ __('accounts.person.modules') }}</h2>
                @forelse ($user->memberships->sortBy('module.code') as $one)
                    <p><a href="{{ route('modules.show', $one->module) }}">{{ $one->module->fullTitle() }}</a>,
                        {{ $one->role->label() }}@if ($one->left_at) <span class="quiet">({{ __('accounts.person.left',
                        ['day' => LocalTime::day($one->left_at)]) }})</span>@endif</p>
                @empty<p class="quiet">{{ __('accounts.person.no_modules') }}</p>@endforelse
            </section>
        </div>
        @unless ($user->mergedInto || $erasure)
            <div class="grid gap-4 w-[26rem] max-w-full">
                <section class="panel">
                    <h2 class="mb-2">{{ __('accounts.person.sign_in') }}</h2>
                    <p>{{ $user->joined_at === null ? __('accounts.person.no_password') : ($user->signed_in_at === null
                        ? __('accounts.person.never') : __('accounts.person.last', ['at' => LocalTime::shown($user->signed_in_at)])) }}
                        {{ trans_choice('accounts.person.places', $places) }}</p>
                    <p>{{ $user->hasSecondStep() ? __('accounts.person.second_on', ['since' => LocalTime::day($user->second_since)])
                        : __($asked ? 'accounts.person.second_asked' : 'accounts.person.second_off') }}</p>
                    <div class="flex flex-wrap gap-3 mt-3">
                        @unless ($user->closed_at)<form method="post" action="{{ route('institution.person.link', $user) }}">@csrf
                            <button class="button">{{ __($user->joined_at === null ? 'accounts.person.link_first'
                            : 'accounts.person.link') }}</button></form>@endunless
                        @if ($places > 0)<form method="post" action="{{ route('institution.person.places', $user) }}">
                            @csrf @method('delete')<button class="button">{{ __('accounts.person.end') }}</button></form>@endif
                    </div>
                    @if ($user->hasSecondStep() && ! $user->is(auth()->user()))
                        <form class="mt-4 border-t border-rule pt-3" method="post"
                            action="{{ route('institution.person.second-step', $user) }}">@csrf @method('delete')
                            <p class="hint mb-2">{{ __('accounts.person.second_take_what') }}</p>
                            <label class="label" for="r-second">{{ __('accounts.person.second_reason') }}</label>
                            <input class="input mb-2" id="r-second" name="reason" maxlength="500" required>
                            <div class="flex justify-end"><button class="button">{{ __('accounts.person.second_take') }}</button></div>
                        </form>
                    @endif
                </section>
                @unless ($user->is(auth()->user()))
                    <form class="panel" method="post" action="{{ route('institution.person.closed', $user) }}">@csrf @method('put')
                        <h2>{{ __($user->closed_at ? 'accounts.closed.open' : 'accounts.closed.title') }}</h2>
                        <p class="hint mb-2">{{ $user->closed_at ? __('accounts.closed.since',
                            ['since' => LocalTime::shown($user->closed_at)]) : __('accounts.closed.what') }}</p>
                        <input type="hidden" name="close" value="{{ $user->closed_at ? 0 : 1 }}">
                        <label class="label" for="r-close">{{ __('accounts.person.reason') }}</label>
                        <input class="input mb-2" id="r-close" name="reason" maxlength="500" required>
                        <div class="flex justify-end"><button class="button">{{ __($user->closed_at ? 'accounts.closed.open'
                            : 'accounts.closed.close') }}</button></div>
                    </form>
                @endunless
                <form class="panel" method="get" action="{{ route('institution.merge', $user) }}">
                    <h2>{{ __('accounts.merge.title') }}</h2>
                    <p class="hint mb-2">{{ __('accounts.merge.what') }}</p>
                    <x-field name="with" :label="__('accounts.merge.with')" type="email" required />
                    <div class="flex justify-end"><button class="button">{{ __('accounts.merge.look') }}</button></div>
                </form>
                <form class="panel" method="post" action="{{ route('institution.person.data', $user) }}">@csrf
                    <h2>{{ __('keeping.office.title') }}</h2>
                    <p class="hint mb-2">{{ __('keeping.office.what') }}</p>
                    <label class="label" for="r-data">{{ __('accounts.person.reason') }}</label>
                    <input class="input mb-2" id="r-data" name="reason" maxlength="500" required>
                    <div class="flex justify-end"><button class="button">{{ __('keeping.office.do') }}</button></div>
                </form>
                <section class="panel">
                    <h2>{{ __('keeping.erase.title') }}</h2>
                    <p class="hint mb-2">{{ __('keeping.erase.what') }}</p>
                    @if ($user->hold_reason)<p class="mb-2">{{ __('keeping.erase.hold_stands', ['reason' => $user->hold_reason]) }}</p>@endif
                    <div class="flex justify-end"><a class="button" href="{{ route('institution.erase', $user) }}">{{
                        __('keeping.erase.look') }}</a></div>
                </section>
                <form class="panel" method="post" action="{{ route('institution.person.administrator', $user) }}">
                    @csrf @method('put')
                    <h2>{{ __('accounts.administrator.title') }}</h2>
                    <p class="hint mb-2">{{ __('accounts.administrator.is') }}</p>
                    <input type="hidden" name="is" value="{{ $user->is_admin ? 0 : 1 }}">
                    <div class="flex justify-end"><button class="button">{{ __($user->is_admin
                        ? 'accounts.administrator.unmake' : 'accounts.administrator.make') }}</button></div>
                </form>
            </div>
        @endunless
    </div>
    <h2 class="mt-6 mb-2">{{ __('accounts.person.lines') }}</h2>
    @if ($lines->isEmpty())<p class="quiet">{{ __('accounts.person.lines_none') }}</p>
    @else
        <div class="sheet scroll"><table class="table stacked"><tbody>
            @foreach ($lines as $line)
                <tr><td class="num quiet">{{ $line->number }}</td><td class="lg:whitespace-nowrap">{{ LocalTime::shown($line->when()) }}</td>
                    <td>{{ $reading->who($line) }}</td><td>{{ $reading->what($line) }}</td>
                    <td class="quiet small">{{ implode('; ', $reading->with($line)) }}</td></tr>
            @endforeach
        </tbody></table></div>
    @endif
</x-page>
