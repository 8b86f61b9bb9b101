<x-page title="A link to sign in" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-1">A link to sign in</h1>
        <p class="quiet mb-5">For a password you have forgotten, or for your first one when the link in the mail no longer works.
        </p>
        <form class="panel" method="post" action="{{ route('forgotten.store') }}">
            @csrf
            <x-field name="email" label="E-mail address" type="email" :value="$email" autocomplete="username" required
                autofocus />
            <div class="flex justify-end gap-3 items-center">
                <a href="{{ route('sign-in') }}">Back</a><button class="button primary">Send me a link</button></div>
        </form>
    </div>
</x-page>
