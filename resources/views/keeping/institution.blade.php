@use('YoungHarbor\Core\Keeping\Kind')
<x-page :title="__('keeping.periods.title')" at="people">
    <x-slot:head><div class="heading"><h1>{{ __('keeping.periods.title') }}</h1><span class="of">{{
        config('harbor.institution') }}</span><a class="ml-auto"
        href="{{ route('institution.people') }}">{{ __('accounts.people.title') }}</a></div></x-slot:head>
    <div class="split">
        <div>@include('keeping.due', ['action' => route('institution.keeping.decide'), 'everywhere' => true])</div>
        <aside>
            @include('keeping.periods', [
                'kinds' => Kind::cases(), 'institution' => null, 'action' => route('institution.keeping.update'),
            ])
            @if ($others->isNotEmpty())<section class="panel mb-4"><h2 class="mb-1">{{ __('keeping.periods.others') }}</h2>
                <ul>@foreach ($others as $module)<li class="py-1"><a href="{{ route('keeping.module', $module) }}">{{
                    $module->fullTitle() }}</a></li>@endforeach</ul>
            </section>@endif
            <section class="panel"><h2 class="mb-1">{{ __('keeping.periods.how') }}</h2><p class="small">{{
                __('keeping.periods.how_what') }}</p></section>
        </aside>
    </div>
</x-page>
