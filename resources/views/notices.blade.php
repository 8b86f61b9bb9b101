<x-page title="What was new" at="today">
    <x-slot:head><div class="heading"><h1>What was new for you</h1></div></x-slot:head>
    @if ($notices->isEmpty())
        <x-empty title="Nothing yet">Results, replies to comments and answers to what you asked are listed here, newest first.</x-empty>
    @else
        <ul class="sheet mb-3">@foreach ($notices as $one)
            <li class="notice-line"><a @class(['font-bold' => $one->read_at === null]) href="{{ route('notices.show', $one) }}">{{ $one->title }}</a>
                <span class="quiet small">{{ $one->assignment?->module->code }}{{ $one->read_at === null ? ' · not read' : '' }}</span>
                <span class="quiet small ml-auto whitespace-nowrap">{{ $one->when() }}</span></li>
        @endforeach</ul>
        {{ $notices->links('release.logbook-pages') }}
    @endif
</x-page>
