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
    </div>
</x-page>
