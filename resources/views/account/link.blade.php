<x-page :title="__('accounts.link.title')" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-1">{{ __('accounts.link.title') }}</h1>
        <p class="quiet mb-5">{{ __('accounts.link.go_what') }}</p>
        <form class="panel flex justify-end" method="post" action="{{ route('sign-in.link.take', $token) }}">
            @csrf<button class="button primary" autofocus>{{ __('accounts.link.go') }}</button></form>
    </div>
</x-page>
