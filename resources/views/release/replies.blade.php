<x-page :title="__('replies.title').': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Mark" /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-2"><h2>{{ __('replies.title') }}</h2>
        <a class="ml-auto" href="{{ route('mark.index', $assignment) }}">your scripts</a></div>
    @if ($threads->isEmpty())
        <x-empty title="No reply yet">{{ __('replies.none') }}</x-empty>
    @else
        <div class="sheet scroll mb-3"><table class="table stacked">
            <thead><tr><th>Script</th><th>About</th><th>Last said</th><th></th></tr></thead>
            <tbody>@foreach ($threads as $one)
                @php $last = $one->replies->last()?->setRelation('thread', $one); @endphp
                <tr><td><a class="code" href="{{ route('replies.show',
                    $one) }}">{{ $one->script->leadScript()->code }}</a></td>
                    <td class="small">{{ ($one->criterion() === null ? null
                        : $rubric?->criterion($one->criterion())?->title())
                        ?? __('replies.about.'.Str::before($one->about, ':')) }}@if ($one->comment()
                        && isset($quotes[$one->comment()]))<br>
                        <span class="quiet">“{{ Str::limit($quotes[$one->comment()], 80) }}”</span>@endif</td>
                    <td class="small" dir="auto">{{ Str::limit($last?->bodyWithoutNames() ?? '', 120) }}</td>
                    <td class="small whitespace-nowrap">
                        @if ($one->unread > 0)<b class="signal">{{ trans_choice('replies.new', (int) $one->unread,
                        ['count' => $one->unread]) }}</b>@elseif ($one->closed_at)<span
                            class="quiet">closed</span>@endif</td></tr>
            @endforeach</tbody></table></div>
    @endif
    @if ($reflections->isNotEmpty())
        <h2 class="mt-5 mb-1">{{ __('release.reflections') }}</h2>

        @foreach ($reflections as $one)<div class="panel mb-3">
            <p class="small"><span class="code">{{ $one->script->leadScript()->code }}</span>
            <span class="quiet">{{ trans_choice('release.words', $one->words, ['count' => $one->words]) }}</span></p>
            @foreach ($assignment->namesRevealed() ? $one->answers : $one->answersWithoutNames() as $answer)
                <p class="quiet small mt-2">{{ $answer['prompt'] }}</p>
                <p class="whitespace-pre-line" dir="auto">{{ $answer['text'] }}</p>@endforeach</div>@endforeach
    @endif
    <p class="quiet small max-w-[46rem]">
        {{ $useful === null ? __('replies.useful_few') : __('replies.useful_of', $useful) }}</p>
</x-page>
