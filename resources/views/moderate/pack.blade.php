@php
    use App\Enums\PackRequest;
    use App\Enums\PackState;
    use App\Models\PackNote;
    use App\Wording\LocalTime;
    use App\Wording\SampleWords;
    $gathering = $pack->state === PackState::Gathering;
    $requests = $pack->notes->where('kind', PackNote::REQUEST)->values();
    $d = $pack->document ?? [];
    $read = $scripts->whereNotNull('read_at')->count();
    $first = $scripts->firstWhere('read_at', null) ?? $scripts->first();
    $most = max([1, ...array_column($d['bands'] ?? [], 'scripts')]);
@endphp
<x-page :title="'Sample pack: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-4">
        <h2>{{ trans_choice('moderate.pack_title', $scripts->count(), ['count' => $scripts->count()]) }}</h2>
        <span class="quiet">for {{ $pack->person->name }}, {{ __("moderate.reader.{$pack->reader->value}") }}</span>
        <span @class(['kelp' => $pack->state === PackState::Signed, 'quiet' => $pack->state !== PackState::Signed])>{{ __(
            "moderate.pack_state.{$pack->state->value}") }}{{ $pack->signed_at ? ' '.LocalTime::shown($pack->signed_at)
            : ($pack->sent_at ? ' '.LocalTime::shown($pack->sent_at) : '') }}</span>
        @can('coordinate', $pack)<a class="ml-auto" href="{{ route('packs.index', $assignment) }}">all packs</a>@endcan
    </div>
    <div class="split">
        <div class="min-w-0">
            @if ($pack->letter !== '' && ! $gathering)<div class="panel mb-4"><p class="quiet small">From the team</p>
                <p class="whitespace-pre-line">{{ $pack->letter }}</p></div>@endif
            @if ($changed !== [])
                <div class="notice mb-4"><b>Changed since it was sent.</b> The pack stays as it was; these scripts read
                    otherwise now:
                    @foreach ($changed as $code => $marks)<span class="whitespace-nowrap"><span class="code">{{ $code }}</span>
                        {{ $marks['then'] === $marks['now'] ? 'agreed '.($marks['now'] ?? 'nothing').' as then, other things changed'
                        : 'agreed '.($marks['then'] ?? 'nothing').' then, '.($marks['now'] ?? 'nothing').' now'
                        }}</span>{{ $loop->last ? '.' : ';' }} @endforeach</div>
            @endif
            @if ($corrections !== [])
                <div class="notice mb-4"><b>{{ __('corrections.pack') }}</b>
                    @foreach ($corrections as $one){{ __('corrections.pack_line', [
                        'what' => $one->toCore()->what, 'how' => $one->inWords(), 'at' => LocalTime::shown($one->decided_at),
                        ]) }}{{ match (true) {
                            $pack->signed_at?->lte($one->decided_at) => __('corrections.since_signed'),
                            $pack->sent_at?->lte($one->decided_at) => __('corrections.since_sent'), default => '',
                        } }}{{ $loop->last ? '.' : ';' }} @endforeach</div>
            @endif
            <h3 class="mb-1">The scripts</h3>
            @if ($gathering)
                <form id="put" class="flex flex-wrap items-end gap-3 mb-3" method="post"
                    action="{{ route('packs.update', $pack) }}">@csrf @method('put')
                    <div class="grow max-w-60"><x-field name="put" label="Put a script in, by its code" /></div>
                    <button class="button mb-3">Put in</button></form>
            @endif
            <div class="sheet scroll mb-5"><table class="table">
                <thead><tr><th>Script</th>@unless ($gathering)<th class="num">First</th><th class="num">Second</th>
                    <th class="num">Agreed</th><th>Band</th><th>Read</th>@endunless<th>In it for</th>
                    @if ($gathering)<th><span class="sr-only">Take out</span></th>@endif</tr></thead>
                <tbody>@forelse ($scripts as $one)
                    <tr>
                        @if ($gathering)<td class="code">{{ $one->script->code }}</td>
                        @else
                            <td><a class="code" href="{{ route('packs.script', [$pack, $one->script->code]) }}">{{
                                $one->script->code }}</a></td>
                            <td class="num">{{ $one->document['marks'][0]['total'] ?? '–' }}</td>
                            <td class="num">{{ $one->document['marks'][1]['total'] ?? '–' }}</td>
                            <td class="num font-bold">{{ $one->document['agreed'] }}</td><td>{{ $one->document['band'] }}</td>
                            <td class="quiet small">{{ $one->read_at ? 'read' : 'not yet' }}</td>
                        @endif
                        <td class="small">{{ SampleWords::keys($one->reasons) }}</td>
                        @if ($gathering)<td class="num"><form method="post" action="{{ route('packs.update', $pack) }}">
                            @csrf @method('put')<button class="link" name="out[]" value="{{ $one->script->code }}"
                            aria-label="Take out {{ $one->script->code }}">take out</button></form></td>@endif
                    </tr>
                @empty<tr><td colspan="3" class="quiet">It is empty.</td></tr>@endforelse</tbody></table></div>
            @if ($d !== [])
                <section class="mb-5"><h3 class="mb-1">How marks are spread</h3>
                    <p class="quiet small mb-2">{{ trans_choice('moderate.pack_spread', $d['agreed'], ['count' => $d['agreed'],
                        'all' => $d['handed_in'], 'mean' => $d['mean'] ?? '–']) }}</p>
                    <table class="small">@foreach ($d['bands'] as $band)<tr><th class="text-left font-normal pr-4">{{
                        $band['name'] }} <span class="quiet">from {{ $band['from'] }}</span></th><td><svg width="220"
                        height="14" aria-hidden="true"><rect x="0" y="2" height="10" fill="var(--deep)"
                        width="{{ round(216 * $band['scripts'] / $most, 1) }}" /></svg></td>
                        <td class="num pl-2">{{ $band['scripts'] }}</td></tr>@endforeach</table></section>
                <details class="fold mb-3"><summary><b>Brief</b></summary><p class="whitespace-pre-line mt-2">{{
                    $d['brief'] }}</p></details>
                <details class="fold mb-3"><summary><b>Rubric</b></summary><div class="mt-2">@if ($rubric)<x-rubric-view
                    :rubric="$rubric" :points="true" />@endif</div></details>
                <details class="fold mb-5"><summary><b>How marks settle</b></summary><p class="mt-2">{{ ucfirst(
                    $d['scheme']) }}.</p></details>
            @endif
        </div>
        <aside>
            @if ($gathering)
                <form class="panel mb-4" method="post" action="{{ route('packs.send', $pack) }}">@csrf
                    <h2 class="mb-1">Send it</h2>
                    <p class="quiet small mb-2">It is frozen as it is now. It holds no name, no lateness and no allowance;
                        markers are letters.{{ $pack->recordings ? ' Voice and video of markers are in its ZIP, as you asked.'
                        : ' Voice and video, which identify people, are left out.' }}</p>
                    <x-field name="letter" label="A word to the reader, if you like" rows="3" />
                    <div class="flex justify-end"><button class="button primary">Send to {{ $pack->person->name }}</button>
                    </div></form>
                <form method="post" action="{{ route('packs.update', $pack) }}">@csrf @method('put')
                    <button class="link" name="drop" value="1">Drop this pack</button></form>
            @else
                <p class="mb-4"><a class="button" href="{{ route('packs.zip', $pack) }}">Take it away as a ZIP</a></p>
                @if ($pack->state === PackState::Signed)
                    <div class="panel mb-4"><h2 class="mb-1">Signed</h2><p class="quiet small">{{ $pack->person->name }},
                        {{ LocalTime::shown($pack->signed_at) }}</p><p class="whitespace-pre-line mt-1">{{
                        $pack->statement }}</p></div>
                @elseif ($reads)
                    <div class="panel mb-4"><h2 class="mb-1">To read</h2>
                        <p class="mb-3">{{ $read === $scripts->count() ? 'You have opened every script.'
                            : "{$read} of {$scripts->count()} opened." }}</p>
                        @if ($first)<div class="flex justify-end"><a @class(['button', 'primary' => $read <
                            $scripts->count()]) href="{{ route('packs.script', [$pack, $first->script->code]) }}">{{
                            $read === 0 ? 'Begin to read' : ($read < $scripts->count() ? 'Go on reading' : 'Read again') }}</a></div>@endif</div>
                    <form class="panel mb-4" method="post" action="{{ route('packs.sign', $pack) }}">@csrf
                        <h2 class="mb-1">Sign</h2>
                        <x-field name="statement" label="Statement" rows="5"
                            hint="What you found. The team and the board of examiners read it." />
                        <label class="flex gap-2 mb-3"><input type="checkbox" name="sure" value="1">
                            I have read the sample and sign. Nothing is added after that.</label>
                        @error('sure')<p class="error">{{ $message }}</p>@enderror
                        <div class="flex justify-end"><button @class(['button', 'primary' => $read === $scripts->count()])>Sign</button></div></form>
                @endif
                <section class="panel"><h2 class="mb-1">Asked for before signing</h2>
                    @forelse ($requests as $one)
                        <div class="mb-3"><p class="small quiet">{{ $one->author->name }}, {{ LocalTime::shown(
                            $one->created_at) }}: {{ __("moderate.asks_for.{$one->asks_for->value}") }}</p>
                            <p class="whitespace-pre-line">{{ $one->body }}</p>
                            @foreach ($one->answers as $answer)<p class="small quiet mt-1">{{ $answer->author->name }}
                                answers, {{ LocalTime::shown($answer->created_at) }}</p>
                                <p class="whitespace-pre-line">{{ $answer->body }}</p>@endforeach
                            @if ($one->answers->isEmpty() && $pack->state === PackState::Sent)
                                @can('coordinate', $pack)
                                    @if ($one->asks_for === PackRequest::LargerSample || $one->asks_for === PackRequest::MarkerAnew)
                                        <p class="small"><a href="{{ route('sample.index', [$assignment, 'scope' => 'more'])
                                        }}">Preview more scripts and their load</a></p>@endif
                                    <form class="mt-2" method="post" action="{{ route('packs.answer', $pack) }}">@csrf
                                        <input type="hidden" name="request" value="{{ $one->id }}">
                                        <x-field name="body" label="The answer" rows="3" />
                                        <div class="flex justify-end"><button class="button">Answer</button></div></form>
                                @else<p class="small signal">no answer yet</p>@endcan
                            @endif</div>
                    @empty<p class="quiet small">Nothing.</p>@endforelse
                    @if ($reads && $pack->state === PackState::Sent)
                        <details class="mt-2" @error('body') open @enderror><summary class="link">Ask for something</summary>
                            <form class="mt-2" method="post" action="{{ route('packs.say', $pack) }}">@csrf
                                <x-choice name="asks_for" label="What" :options="collect(PackRequest::cases())
                                    ->mapWithKeys(fn ($one) => [$one->value => __('moderate.asks_for.'.$one->value)])->all()" />
                                <x-field name="body" label="In your words" rows="3" />
                                <div class="flex justify-end"><button class="button">Ask</button></div></form></details>
                    @endif
                </section>
            @endif
        </aside>
    </div>
</x-page>
