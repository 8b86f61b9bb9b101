@use('App\Wording\LocalTime')
@use('App\Operations\PartState')
<x-page :title="__('operations.title')" at="people">
    <x-slot:head><div class="heading"><h1>{{ __('operations.title') }}</h1><span class="of">{{ __($up ? 'operations.up'
        : 'operations.down') }}</span><a class="ml-auto" href="{{ route('institution.people') }}">{{
        __('accounts.people.title') }}</a></div></x-slot:head>
    <div class="split">
        <div>
            <div class="sheet scroll mb-6"><table class="table"><tbody>
                @foreach ($parts as $part)
                    <tr><td class="font-bold align-top"><svg class="inline" width="12" height="12" viewBox="0 0 12 12"
                        aria-hidden="true">@switch($part->state)
                        @case(PartState::Works) <circle cx="6" cy="6" r="4" fill="currentColor" /> @break
                        @case(PartState::Look) <path d="M6 1 L11 11 H1 Z" fill="none" stroke="currentColor" stroke-width="1.5" /> @break
                        @default <path d="M1 1 L11 11 M11 1 L1 11" stroke="currentColor" stroke-width="2.5" />
                        @endswitch</svg> {{ __("operations.parts.{$part->name}") }}</td>
                        <td>@if ($part->state !== PartState::Works)<b>{{ __("operations.state.{$part->state->value}") }}:</b>
                        @endif{{ ucfirst($part->says) }}</td></tr>
                @endforeach
            </tbody></table></div>
            <h2 class="mb-1">{{ __('operations.failed.title') }}</h2>
            @if ($failed === [])<p class="quiet">{{ __('operations.failed.none') }}</p>
            @else
                <p class="hint mb-2">{{ __('operations.failed.what') }}</p>
                <div class="sheet scroll"><table class="table stacked">
                    <thead><tr><th>{{ __('operations.failed.kind') }}</th><th>{{ __('operations.failed.when') }}</th>
                        <th>{{ __('operations.failed.why') }}</th><th></th></tr></thead>
                    <tbody>
                        @foreach ($failed as $one)
                            <tr><td>{{ $one['kind'] }}</td><td class="lg:whitespace-nowrap">{{ LocalTime::shown($one['at']) }}</td>
                                <td>{{ $one['why'] }}</td><td class="lg:whitespace-nowrap">
                                <form class="inline" method="post" action="{{ route('institution.running.again') }}">@csrf
                                    <input type="hidden" name="job" value="{{ $one['id'] }}"><button class="link">{{
                                    __('operations.failed.again') }}</button></form>
                                <form class="inline ml-3" method="post" action="{{ route('institution.running.forget') }}">@csrf
                                    @method('delete')<input type="hidden" name="job" value="{{ $one['id'] }}"><button class="link">{{
                                    __('operations.failed.forget') }}</button></form></td></tr>
                        @endforeach
                    </tbody>
                </table></div>
                @if ($failures > 1)<form class="flex justify-end mt-3" method="post"
                    action="{{ route('institution.running.again') }}">@csrf<button class="button">{{
                    __('operations.failed.all') }} ({{ number_format($failures) }})</button></form>@endif
            @endif
        </div>
        <aside>
            <section class="panel mb-4">
                <h2 class="mb-2">{{ __('operations.queues.title') }}</h2>
                <table class="table"><thead><tr><th>{{ __('operations.queues.queue') }}</th>
                    <th class="num">{{ __('operations.queues.waiting') }}</th><th class="num">{{ __('operations.queues.running') }}</th>
                    </tr></thead><tbody>
                    @foreach ($queues as $one)
                        <tr><td>{{ Lang::has("operations.queues.names.{$one['queue']}") ? __("operations.queues.names.{$one['queue']}")
                            : $one['queue'] }}@if ($one['late']) <b>{{ __('operations.queues.late') }}</b>@endif</td>
                            <td class="num">{{ number_format($one['waiting']) }}</td><td class="num">{{
                            number_format($one['running']) }}</td></tr>
                    @endforeach
                </tbody></table>
            </section>
            <section class="panel">
                <h2 class="mb-2">{{ __('operations.versions.title') }}</h2>
                <p>{{ __('operations.versions.application') }} {{ config('harbor.version') }}</p>
                <p>{{ __('operations.versions.php') }} {{ PHP_VERSION }}</p>
                <p>{{ __('operations.versions.database') }} {{ $database }}</p>
                <p class="quiet small mt-1">{{ __('operations.versions.migration') }}: <span class="break-all">{{ $migration }}</span></p>
                @if ($pending > 0)<p class="notice small mt-2">{{ trans_choice('operations.versions.pending', $pending) }}</p>@endif
            </section>
        </aside>
    </div>
</x-page>
