<x-page :title="__('accounts.link.title')" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-1">{{ __('accounts.link.title') }}</h1>
        <p class="quiet mb-5">{{ __('accounts.link.what', ['minutes' => App\Models\SignInLink::MINUTES]) }}</p>
        <form class="panel" method="post" action="{{ route('sign-in.link.store') }}">
            @csrf
            <x-field name="email" label="E-mail address" type="email" autocomplete="username" required autofocus />
            <div class="flex justify-end gap-3 items-center"><a href="{{ route('sign-in') }}">{{
                __('accounts.second.back') }}</a><button class="button primary">{{ __('accounts.link.send') }}</button></div>
        </form>
    </div>
</x-page>
