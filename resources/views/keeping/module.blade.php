@use('YoungHarbor\Core\Keeping\Kind')
<x-page :title="__('keeping.periods.title')" at="modules">
    <x-slot:head><div class="heading"><h1>{{ __('keeping.periods.title') }}</h1><a class="of"
        href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div></x-slot:head>
    <div class="split">
        <div>@include('keeping.due', ['action' => route('keeping.module.decide', $module), 'everywhere' => false])</div>
        <aside>
            @include('keeping.periods', [
                'kinds' => Kind::ofAssignments(), 'periods' => $module->keeping,
                'action' => route('keeping.module.update', $module),
            ])
            <section class="panel"><h2 class="mb-1">{{ __('keeping.periods.how') }}</h2><p class="small">{{
                __('keeping.periods.how_what') }}</p></section>
        </aside>
    </div>
</x-page>
