<x-page title="A new password" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-4">A new password</h1>
        <form class="panel" method="post" action="{{ route('password.update') }}">
            @csrf
            <input type="hidden" name="token" value="{{ $token }}">
            <x-field name="email" label="E-mail address" type="email" :value="$email" autocomplete="username"
                required />
            <x-field name="password" label="New password" type="password" autocomplete="new-password"
                hint="At least ten characters. Four ordinary words are easy to keep and hard to guess." required />
            <x-field name="password_confirmation" label="The same again" type="password" autocomplete="new-password"
                required />
            <div class="flex justify-end"><button class="button primary">Save</button></div>
        </form>
    </div>
</x-page>
