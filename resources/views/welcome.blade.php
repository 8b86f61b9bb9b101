<x-page title="Choose a password" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-4">Welcome, {{ $user->name }}</h1>
        <form class="panel" method="post" action="{{ request()->fullUrl() }}">
            @csrf
            <x-field name="password" label="Choose a password" type="password" autocomplete="new-password"
                hint="At least ten characters. Four ordinary words are easy to keep and hard to guess." required />
            <x-field name="password_confirmation" label="The same again" type="password" autocomplete="new-password"
                required />
            <div class="flex justify-end"><button class="button primary">Save it and sign in</button></div>
        </form>
    </div>
</x-page>
