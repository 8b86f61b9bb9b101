@php
    use App\Wording\LocalTime;
    use App\Wording\DiscussionWords;
    $settings = $assignment->discussion;
    $ends = $reader->endsAt();
    $over = $ends?->isPast() ?? false;
    $coordinates = $flags !== null;
@endphp
<x-page :title="__('discuss.title').': '.$assignment->title" at="modules">
    <x-slot:head>
        @if ($reader->isStaff())<x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Collect" />
        @else<div class="heading"><h1>{{ __('discuss.title') }}</h1><a class="of"
            href="{{ route('hand-in.show', $assignment) }}">{{ $assignment->title }}</a></div>@endif
    </x-slot:head>
    <div class="split">
        <div>
            @if (! $reader->isStaff())
                @include('discuss.asked')
            @else
                <p class="mb-3">{{ DiscussionWords::asked($settings) }} {{ __('discuss.staff_codes.'
                    .($reader->seesNames() ? 'names' : 'codes')) }}</p>
            @endif
            <form class="flex gap-2 mb-4 max-w-xl" method="get" action="{{ route('discussion.show', $assignment) }}" role="search">
                <label class="sr-only" for="f-q">{{ __('discuss.search') }}</label>
                <input class="input" id="f-q" type="search" name="q" value="{{ $words }}" maxlength="100"
                    placeholder="{{ __('discuss.search') }}"><button class="button">Find</button></form>
            @if ($found !== null)
                <h2 class="mb-2">{{ trans_choice('discuss.found', $found->count(), ['words' => $words]) }}</h2>
                @foreach ($found as $post)
                    <p class="sheet px-4 py-2 mb-2"><a href="{{ route('posts.show', $post) }}">{{ $post->topic->title }}</a>
                        <span class="quiet small">{{ $reader->who($post) }}{{ $reader->seesTimes()
                            ? ', '.LocalTime::shown($post->created_at) : '' }}</span><br>
                        <span dir="auto">{{ DiscussionWords::around($reader->seesNames() ? strip_tags($post->html)
                            : $post->masked_text, $words) }}</span></p>
                @endforeach
                <p class="mb-5"><a href="{{ route('discussion.show', $assignment) }}">All topics</a></p>
            @endif
            <section id="topics" aria-labelledby="topics-title">
                <h2 class="mb-2" id="topics-title">{{ trans_choice('discuss.topics', $assignment->topics->count()) }}</h2>
                @if ($assignment->topics->isEmpty())<x-empty :title="__('discuss.no_topics')">{{ __($coordinates
                    ? 'discuss.no_topics_coordinator' : 'discuss.no_topics_others') }}</x-empty>@endif
                @foreach ($assignment->topics as $topic)
                    <article class="sheet px-4 py-3 mb-3">
                        <h3 class="text-[1.05rem]"><a href="{{ route('topics.show', $topic) }}">{{ $topic->title }}</a></h3>
                        <p class="quiet line-clamp-3 my-1" dir="auto">{{ $topic->prompt }}</p>
                        <p class="small">@if ($page->open[$topic->id]){{ trans_choice('discuss.posts', $page->posts[$topic->id]) }}@if ($page->new[$topic->id] > 0), <b>{{ trans_choice(
                            'discuss.new', $page->new[$topic->id]) }}</b>@endif
                            @else{{ __('discuss.own_first_short') }}@endif
                            @if ($topic->closed_at)<span class="signal">{{ __('discuss.topic_closed') }}</span>@endif</p>
                        @if ($coordinates)<details class="mt-1" @if (old('seen') !== null && old('topic_id') === $topic->public_id) open @endif>
                            <summary class="link small">{{ __('discuss.change_topic') }}</summary>
                            <form class="mt-2 max-w-2xl" method="post" action="{{ route('topics.update', $topic) }}">@csrf @method('put')
                                <input type="hidden" name="seen" value="{{ $topic->lock_version }}">
                                <input type="hidden" name="topic_id" value="{{ $topic->public_id }}">
                                <label class="field"><span class="label">Title</span><input class="input" name="title" maxlength="200"
                                    value="{{ old('topic_id') === $topic->public_id ? old('title') : $topic->title }}"></label>
                                <label class="field"><span class="label">What students are asked</span><textarea class="input field-sizing-content"
                                    name="prompt" rows="3" dir="auto"
                                    @readonly($page->posts[$topic->id] > 0)>{{ old('topic_id') === $topic->public_id ? old('prompt') : $topic->prompt }}</textarea></label>
                                <button class="button">Save</button></form>
                            @if ($page->posts[$topic->id] === 0)<form class="mt-2" method="post" action="{{ route('topics.destroy', $topic) }}">
                                @csrf @method('delete')<button class="link small">{{ __('discuss.remove_topic') }}</button></form>@endif
                        </details>@endif
                    </article>
                @endforeach
                @if ($coordinates)
                    <details class="mb-4" @if ($assignment->topics->isEmpty() || (old('title') !== null && old('topic_id') === null)) open @endif>
                        <summary class="link">{{ __('discuss.add_topic') }}</summary>
                        <form class="panel mt-2 max-w-2xl" method="post" action="{{ route('topics.store', $assignment) }}">@csrf
                            <x-field name="title" label="Title" :value="old('topic_id') === null ? old('title', '') : ''" />
                            <label class="field"><span class="label">What students are asked</span><textarea class="input field-sizing-content" name="prompt"
                                rows="4" dir="auto">{{ old('topic_id') === null ? old('prompt') : '' }}</textarea></label>
                            <div class="flex justify-end"><button class="button primary">{{ __('discuss.add_topic_do') }}</button></div></form>
                    </details>
                @endif
            </section>
        </div>
        <aside>
            @if ($flags !== null)
                <section class="panel" id="flags"><h2>{{ __('discuss.flags.title') }}</h2>
                    @if ($flags->isEmpty())<p class="quiet mt-1">{{ __('discuss.flags.none') }}</p>@endif
                    @foreach ($flags as $flag)
                        <div class="mt-3"><p><a href="{{ route('posts.show', $flag->post) }}">{{ __('discuss.flags.post',
                            ['who' => $reader->who($flag->post), 'topic' => $flag->post->topic->title]) }}</a></p>
                            <p class="small" dir="auto">“{{ $flag->reason }}”</p>
                            <form method="post" action="{{ route('flags.leave', $flag) }}">@csrf @method('put')
                                <button class="link small">{{ __('discuss.flags.leave') }}</button></form></div>
                    @endforeach
                    <p class="hint mt-2">{{ __('discuss.flags.hint') }}</p></section>
            @endif
        </aside>
    </div>
</x-page>
