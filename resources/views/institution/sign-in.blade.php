@use('YoungHarbor\Core\Accounts\Staff')
<x-page :title="__('accounts.rules.title')" at="people">
    <x-slot:head><div class="heading"><h1>{{ __('accounts.rules.title') }}</h1><a class="of"
        href="{{ route('institution.people') }}">{{ __('accounts.people.title') }}</a></div></x-slot:head>
    <form class="panel max-w-2xl" method="post" action="{{ route('institution.sign-in.update') }}">@csrf @method('put')
        <fieldset class="mb-4"><legend class="font-bold mb-1">{{ __('accounts.rules.second') }}</legend>
            @foreach (Staff::cases() as $kind)
                <label class="flex gap-2 mb-1"><input type="checkbox" name="second_step[]" value="{{ $kind->value }}"
                    @checked(in_array($kind, $rules->secondStep, true))> <span>{{ __("accounts.rules.kinds.{$kind->value}") }}</span></label>
            @endforeach
            <p class="hint">{{ __('accounts.rules.second_what') }}</p></fieldset>
        <label class="flex gap-2"><input type="checkbox" name="mail_links" value="1" @checked($rules->mailLinks)>
            <span>{{ __('accounts.rules.links') }}</span></label>
        <p class="hint mb-3">{{ __('accounts.rules.links_what') }}</p>
        <div class="flex justify-end"><button class="button primary">{{ __('accounts.rules.save') }}</button></div>
    </form>
</x-page>
