<x-page title="This link no longer works">
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-3">This link no longer works</h1>
        @if ($used)
            <p class="mb-4">A password has been chosen with it, and it works once. Sign in with that password.</p>
            <p class="flex gap-4 items-center"><a class="button primary" href="{{ route('sign-in') }}">Sign in</a>
            <a href="{{ route('forgotten') }}">I do not know the password</a></p>
        @else
            <p class="mb-4">It is more than two weeks old, or was cut off on its way. Your account is there; a new link comes to your e-mail address.
            </p>
            <p><a class="button primary" href="{{ route('forgotten') }}">Send me a new link</a></p>
        @endif
    </div>
</x-page>
