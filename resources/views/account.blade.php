<x-page title="Your account" at="account">
    <x-slot:head><div class="heading">
        <h1>Your account</h1><span class="of">{{ $person->email }}</span></div></x-slot:head>
    <div class="steps">
        <form class="panel w-80" method="post" action="{{ route('account.theme') }}">
            @csrf @method('put')
            <x-choice name="theme" label="Light or dark"
                :options="['device' => 'As this device', 'light' => 'Light', 'dark' => 'Dark']"
                :value="$person->theme" />
            <div class="flex justify-end"><button class="button primary">Save</button></div>
        </form>
        <form class="panel w-96 max-w-full" method="post" action="{{ route('account.mail') }}">
            @csrf @method('put')
            <h2 class="mb-2">E-mail</h2>
            <label class="flex gap-2 mb-2"><input type="checkbox" name="daily_mail" value="1" @checked($person->daily_mail)>
                <span>One mail a day about replies and reviews, in place of one each</span></label>
            <label class="flex gap-2 mb-2"><input type="checkbox" name="no_reminders" value="1" @checked($person->no_reminders)>
                <span>No reminders</span></label>
            <p class="hint mb-3">Results and what people write to you always come, and at once.</p>
            <div class="flex justify-end"><button class="button primary">Save</button></div>
        </form>
        <form class="panel w-96 max-w-full" method="post" action="{{ route('account.password') }}">
            @csrf @method('put')
            <x-field name="current_password" label="Your password now" type="password"
                autocomplete="current-password" />
            <x-field name="password" label="A new one" type="password" autocomplete="new-password"
                hint="At least ten characters." />
            <x-field name="password_confirmation" label="The new one again" type="password"
                autocomplete="new-password" />
            <div class="flex justify-end"><button class="button primary">Change it</button></div>
        </form>
        <section class="panel w-80">
            <h2 class="mb-1">{{ __('accounts.second.title') }}</h2>
            @if ($person->hasSecondStep())
                <p class="mb-1">{{ __('accounts.second.account_on', ['since' => App\Wording\LocalTime::day($person->second_since)]) }}</p>
                <p @class(['mb-3', 'hint' => $codes > 2])>{{ __('accounts.second.codes_title') }}:
                {{ trans_choice('accounts.second.codes_left', $codes) }}</p>
            @else<p class="mb-3">{{ __('accounts.second.account_off') }}</p>@endif
            <div class="flex justify-end"><a class="button" href="{{ route('second-step') }}">{{
                __($person->hasSecondStep() ? 'accounts.second.manage' : 'accounts.second.set_up') }}</a></div>
        </section>
        <section class="panel w-80">
            <h2 class="mb-1">{{ __('keeping.title') }}</h2>
            <p class="mb-3">{{ __('keeping.download_what') }}</p>
            <div class="flex justify-end"><a class="button" href="{{ route('kept') }}">{{ __('keeping.title') }}</a></div>
        </section>
        @if ($places !== [])
            <section class="panel w-[36rem] max-w-full" id="places">
                <h2>{{ __('accounts.places.title') }}</h2>
                <p class="hint mb-2">{{ __('accounts.places.what') }}</p>
                <ul class="grid gap-2 mb-3">
                    @foreach ($places as $place)
                        <li class="flex flex-wrap gap-x-3 items-baseline"><b>{{ $place['browser'] }}</b>
                            @if ($place['here'])<span>{{ __('accounts.places.here') }}</span>
                            @else<span class="quiet small">{{ __('accounts.places.from', ['address' => $place['address'],
                                'at' => App\Wording\LocalTime::shown($place['at'])]) }}</span>
                                <form class="ml-auto" method="post" action="{{ route('places.destroy') }}">
                                    @csrf @method('delete')<input type="hidden" name="place" value="{{ $place['name'] }}">
                                    <button class="link">{{ __('accounts.places.end') }}</button></form>@endif</li>
                    @endforeach
                </ul>
                @if (count($places) > 1)<form class="flex justify-end" method="post" action="{{ route('places.destroy') }}">
                    @csrf @method('delete')<button class="button">{{ __('accounts.places.end_all') }}</button></form>@endif
            </section>
        @endif
    </div>
</x-page>
