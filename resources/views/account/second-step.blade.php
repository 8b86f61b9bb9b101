@use('App\Wording\LocalTime')
<x-page :title="__('accounts.second.title')" at="account">
    <x-slot:head><div class="heading"><h1>{{ __('accounts.second.title') }}</h1>
        <a class="of" href="{{ route('account') }}">{{ $person->email }}</a></div></x-slot:head>
    @if (session('codes'))
        <section class="panel max-w-2xl" data-codes>
            <h2 class="mb-1">{{ __('accounts.second.codes_title') }}</h2>
            <p class="mb-3">{{ __('accounts.second.codes_shown') }}</p>
            <p class="small quiet">{{ __('accounts.second.codes_file', ['institution' => config('harbor.institution'),
                'email' => $person->email, 'day' => LocalTime::day(now())]) }}</p>
            <ul class="grid grid-cols-2 sm:grid-cols-3 gap-x-8 gap-y-1 my-3 text-lg">
                @foreach (session('codes') as $code)<li class="code">{{ $code }}</li>@endforeach</ul>
            <div class="flex flex-wrap justify-end gap-3 no-print">
                <button class="button" type="button" data-print hidden>{{ __('accounts.second.codes_print') }}</button>
                <button class="button" type="button" data-save hidden>{{ __('accounts.second.codes_save') }}</button>
                <a class="button primary" href="{{ route('today') }}">{{ __('accounts.second.codes_kept') }}</a></div>
        </section>
    @else
        @if ($person->hasSecondStep())
            <p class="mb-4 max-w-2xl">{{ __('accounts.second.is_on', ['since' => LocalTime::day($person->second_since)]) }}</p>
        @elseif ($asked)
            <p class="notice max-w-2xl mb-4" role="status">{{ __('accounts.second.asked') }}</p>
        @endif
        <div class="flex flex-wrap items-start gap-4">
            <form class="panel w-[36rem] max-w-full" method="post" action="{{ route('second-step.store') }}">
                @csrf
                @if ($person->hasSecondStep())
                    <h2>{{ __('accounts.second.other_phone') }}</h2>
                    <p class="hint mb-3">{{ __('accounts.second.other_phone_what') }}</p>
                @else<p class="mb-3">{{ __('accounts.second.what') }}</p>@endif
                <ol class="list-decimal pl-5 grid gap-3">
                    <li>{{ __('accounts.second.step_app') }}</li>
                    <li>{{ __('accounts.second.step_read') }}
                        <div class="flex flex-wrap gap-5 items-center mt-2">
                            <div class="squares" data-squares="{{ $address }}" role="img"
                                aria-label="{{ __('accounts.second.squares') }}"></div>
                            <div class="max-w-56"><span class="small quiet">{{ __('accounts.second.by_hand') }}</span>
                                <p class="code whitespace-normal! mt-1">{{ $letters }}</p>
                                <p class="small mt-2"><a href="{{ $address }}">{{ __('accounts.second.on_this') }}</a></p></div></div></li>
                    <li>{{ __('accounts.second.step_code') }}
                        <div class="grid sm:grid-cols-2 gap-4 mt-2">
                            <x-field name="code" :label="__('accounts.second.code')" inputmode="numeric"
                                autocomplete="one-time-code" maxlength="12" required />
                            <x-field name="current_password" :label="__('accounts.second.password')" type="password"
                                autocomplete="current-password" required /></div></li>
                </ol>
                <div class="flex justify-end"><button class="button primary">{{ __($person->hasSecondStep()
                    ? 'accounts.second.set_other' : 'accounts.second.set') }}</button></div>
            </form>
            @if ($person->hasSecondStep())
                <div class="grid gap-4 w-96 max-w-full">
                    <form class="panel" method="post" action="{{ route('second-step.codes') }}">@csrf
                        <h2>{{ __('accounts.second.codes_title') }}</h2>
                        <p class="mb-1">{{ __('accounts.second.codes_what') }}
                            <b>{{ trans_choice('accounts.second.codes_left', $left) }}</b></p>
                        <p class="hint mb-3">{{ __('accounts.second.codes_new_what') }}</p>
                        <label class="label" for="p-codes">{{ __('accounts.second.password') }}</label>
                        <input class="input mb-3" id="p-codes" name="current_password" type="password"
                            autocomplete="current-password" required>
                        <div class="flex justify-end"><button class="button">{{ __('accounts.second.codes_new') }}</button></div>
                    </form>
                    <form class="panel" method="post" action="{{ route('second-step.destroy') }}">@csrf @method('delete')
                        <h2>{{ __('accounts.second.off') }}</h2>
                        @if ($asked)<p class="hint">{{ __('accounts.second.needed_stays') }}</p>
                        @else
                            <p class="hint mb-3">{{ __('accounts.second.off_what') }}</p>
                            <label class="label" for="p-off">{{ __('accounts.second.password') }}</label>
                            <input class="input mb-3" id="p-off" name="current_password" type="password"
                                autocomplete="current-password" required>
                            <div class="flex justify-end"><button class="button">{{ __('accounts.second.off_do') }}</button></div>
                        @endif
                    </form>
                </div>
            @endif
        </div>
    @endif
</x-page>
