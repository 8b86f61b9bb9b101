<x-page :title="__('observe.day.title').': '.$assignment->title" at="modules">
    <x-slot:head><div class="heading slim"><h1>{{ __('observe.day.title') }}</h1><a class="of"
        href="{{ route('slots.index', $assignment) }}">{{ $assignment->title }}</a></div></x-slot:head>
    @if ($day['people'] === [])<x-empty :title="__('observe.day.none')">{{ __('observe.day.none_hint') }}</x-empty>
    @else
        <div class="observed" data-observe>
            <script type="application/json">@json($day)</script>
            <p class="quiet small" data-said role="status" data-waiting="0"></p>
            <div data-place></div>
            <noscript><p class="notice">This page needs its script; without it, mark on the desk.</p></noscript>
        </div>
    @endif
</x-page>
