@php
    use App\Wording\DiscussionWords;
    use App\Wording\LocalTime;
    $settings = $assignment->discussion;
    $why = $reader->whyNotWriting();
    $writes = $reader->takesPart() && ($topic->closed_at === null || $reader->isStaff());
    $roomQuery = $page->room === '' ? [] : ['room' => $page->room];
    $sees = $reader->sees($topic);
    $endedAt = $reader->endsAt() === null ? '' : LocalTime::shown($reader->endsAt());
@endphp
<x-page :title="$topic->title.': '.$assignment->title" at="modules">
    <x-slot:head><div class="heading"><h1>{{ $topic->title }}</h1><a class="of"
        href="{{ route('discussion.show', $assignment) }}">{{ __('discuss.title') }}, {{ $assignment->title }}</a></div></x-slot:head>
    <div class="talk" data-talk data-newest="{{ $page->newest }}"
        data-news="{{ route('topics.news', [$topic, ...$roomQuery]) }}"
        data-begun="{{ route('topics.threads', [$topic, ...$roomQuery]) }}">
        @if (count($rooms) > 1)
            <nav class="chips mb-3" aria-label="{{ __('discuss.rooms') }}">
                @foreach ($rooms as $room)<a href="{{ route('topics.show', [$topic, 'room' => $room]) }}"
                    aria-current="{{ $room === $page->room ? 'true' : 'false' }}">{{ DiscussionWords::room(
                    $settings->audience, $room) }}</a>@endforeach
            </nav>
        @elseif ($page->room !== '')<p class="quiet mb-2">{{ DiscussionWords::room($settings->audience, $page->room) }}</p>@endif
        <div class="sheet px-4 py-3 mb-4">
            <div class="text small" dir="auto">
                @foreach (preg_split('/\n\s*\n/', trim($topic->prompt)) as $paragraph)<p>{!! nl2br(e($paragraph)) !!}</p>@endforeach
            </div>
            <div class="flex flex-wrap gap-x-5 gap-y-1 mt-2 small">
                <form method="post" action="{{ route('topics.follow', $topic) }}">@csrf<button class="link" name="follows"
                    value="{{ $follows ? '0' : '1' }}" title="{{ __('discuss.follow_hint') }}">{{ __($follows
                    ? 'discuss.unfollow' : 'discuss.follow') }}</button></form>
                @if ($coordinates)<form method="post" action="{{ route('topics.close', $topic) }}">@csrf<button class="link"
                    name="closed" value="{{ $topic->closed_at ? '0' : '1' }}">{{ __($topic->closed_at
                    ? 'discuss.open_topic' : 'discuss.close_topic') }}</button></form>@endif
            </div>
        </div>
        @if ($topic->closed_at)<p class="notice mb-3">{{ __('discuss.closed_notice') }}</p>@endif
        @if ($why !== null && ! $reader->isStaff())<p class="notice mb-3">{{ __("discuss.refused.{$why}",
            ['at' => $endedAt]) }}</p>@endif
        @if ($page->alone !== null)<p class="mb-3"><a href="{{ route('topics.show',
            [$topic, ...$roomQuery]) }}">‹ {{ __('discuss.all_threads') }}</a></p>
        @elseif ($writes)
            <details class="mb-4" @if ((! $posted && ! $reader->isStaff()) || old('for') === 'new') open @endif>
                <summary class="button">{{ __('discuss.write_post') }}</summary>
                @include('discuss.composer', ['key' => 'new', 'answers' => '', 'who' => '', 'quoted' => ''])</details>
        @endif
        @if (! $sees)<p class="notice mb-3">{{ __('discuss.own_first') }}</p>@endif
        <p class="mb-3" data-news-bar hidden><button class="button" type="button" data-show-threads></button></p>
        <div data-thread-list>
            @include('discuss.threads', [
                'threads' => $page->threads, 'replies' => $page->replies, 'unread' => $page->unread, 'readTo' => $page->readTo,
            ])
        </div>
        @if ($page->threads->isEmpty() && $sees)<x-empty :title="__('discuss.nothing_yet')">{{ __($writes
            ? 'discuss.nothing_yet_write' : 'discuss.nothing_yet_read') }}</x-empty>@endif
        @if ($page->earlier !== null)<p class="mt-4"><a class="button" href="{{ route('topics.show',
            [$topic, ...$roomQuery, 'before' => $page->earlier]) }}">{{ __('discuss.earlier') }}</a></p>@endif
        @if ($writes)<template data-answer-form>
            @include('discuss.composer', ['key' => 'THREAD', 'answers' => 'THREAD', 'who' => '', 'quoted' => ''])</template>@endif
    </div>
</x-page>
