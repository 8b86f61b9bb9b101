<x-page :title="__('copy.title').': '.$module->code" at="modules">
    <x-slot:head><div class="heading"><h1>{{ __('copy.title') }}</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <form class="panel" method="post" action="{{ route('modules.copy.store', $module) }}">@csrf
            <x-field name="code" label="Code" :value="$module->code" maxlength="30" />
            <x-field name="title" label="Title" :value="$module->title" maxlength="150" />
            <x-field name="weeks" :label="__('copy.weeks')" inputmode="numeric" value="52" :hint="__('copy.weeks_hint')" />
            <div class="flex justify-end"><button class="button primary">{{ __('copy.do') }}</button></div></form>
        <aside class="panel self-start"><p class="mb-2">{{ __('copy.what') }}</p><p>{{ __('copy.what_not') }}</p></aside>
    </div>
</x-page>
