<x-page :title="__('accounts.second.code_title')" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-1">{{ __('accounts.second.code_title') }}</h1>
        <p class="quiet mb-5">{{ __('accounts.second.code_what') }}</p>
        <form class="panel" method="post" action="{{ route('sign-in.code.store') }}">
            @csrf
            <x-field name="code" :label="__('accounts.second.code')" inputmode="text" autocomplete="one-time-code" required
                autofocus maxlength="40" :hint="__('accounts.second.code_hint')" />
            <div class="flex justify-end gap-3 items-center"><a href="{{ route('sign-in') }}">{{
                __('accounts.second.back') }}</a><button class="button primary">{{ __('accounts.second.go_on') }}</button></div>
        </form>
    </div>
</x-page>
