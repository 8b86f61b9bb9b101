@php
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Peers\{Method, ReviewingFacts};
    $counts = $state->counts();
    $people = collect($state->people());
    $filters = [
        '' => ['everyone', fn ($one) => true],
        'nothing' => ['begun nothing', fn ($one) => $one['asked'] > 0 && $one['done'] + $one['begun'] === 0],
        'missing' => ['not all done', fn ($one) => $one['done'] < $one['asked']],
        'late' => ['late', fn ($one) => $one['late'] > 0],
        'quick' => ['very quick', fn ($one) => $one['quick'] > 0],
    ];
    $shown = $people->filter($filters[$show][1] ?? $filters[''][1]);
    $most = 200;
@endphp
<x-page :title="$round->title.': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'peers'])
    <div class="flex flex-wrap items-baseline gap-x-4 mb-1"><h1 class="text-xl!">{{ $round->title }}</h1>
        <a href="{{ route('rounds.index', $assignment) }}">all rounds</a>
        <a href="{{ route('rounds.edit', $round) }}">{{ $round->isClosed() ? 'how it was planned' : 'plan' }}</a>
        <a href="{{ route('trials.index', $round) }}">trial scripts ({{ $round->trials->count() }})</a></div>
    <p class="quiet mb-4">@if ($round->isClosed())Closed {{ LocalTime::shown(
        $round->closed_at) }}.@elseif (! $round->isOpened())
        Students do not see it yet.@elseif ($round->given_at === null)Students see it. Reviews are given out {{ LocalTime::shown(
            $round->begins_at) }}.@else
        Reviews are due {{ LocalTime::shown($round->due_at) }}; last planned {{ LocalTime::shown(
            $round->planned_at) }}.@endif</p>
    <div class="split"><div class="min-w-0">
    @if ($round->given_at !== null)
        @if ($round->short > 0)<div class="notice refusal mb-4" role="status"><p><b>{{ $round->short === 1
            ? '1 review is missing' : "{$round->short} reviews are missing" }}:</b>
            nobody is there to write {{ $round->short === 1 ? 'it' : 'them' }}.
            Affected: @foreach ($state->works->where('missing', '>', 0)
                ->take(12) as $work)<span class="code">{{ $work->code }}</span>@if (! $loop->last), @endif
            @endforeach.</p><p class="small mt-1">
                What can be done: ask for volunteers (students can offer more on their page), move the time
            reviews are due, or have staff review these works.</p></div>@endif
        @if ($round->unsure > 0)<p class="notice mb-4">{{ $round->unsure === 1 ? '1 work waits'
            : "{$round->unsure} works wait" }}
            for someone who has begun nothing and whom nobody can stand in for yet.</p>@endif
        <dl class="tally mb-5">
            <div><dt>Reviews done</dt>
            <dd><b>{{ $counts['done'] }}</b> of {{ $counts['reviews'] }}@if ($counts['late'] > 0), {{ $counts['late'] }}
            late @endif</dd></div>
            <div><dt>Works with all they are promised</dt>
            <dd><b>{{ $counts['enough'] }}</b> of {{ $counts['works'] }}</dd></div>
            <div><dt>Students who have begun nothing</dt>
            <dd><b>{{ $counts['nothing'] }}</b> of {{ $counts['people'] }}</dd></div>
            <div><dt>A review takes</dt>
            <dd>@if ($counts['minutes'] === null)not known yet @else<b>{{ $counts['minutes'] }}</b>
            minutes at the desk, half took longer @endif</dd></div>
        </dl>
        @if ($state->flagged()->isNotEmpty() || $state->returned()->isNotEmpty())
        <h2 class="mb-2">For you to decide</h2>
        <div class="sheet mb-5">
            @foreach ($state->flagged() as $one)
                <div class="px-4 py-3 border-b border-rule">
                    <p><b>{{ ucfirst(__("peers.flag.{$one->flag_why->value}")) }}</b>,
                    says the author of <span class="code">{{ $one->work->code }}</span> of the review by
                    <span class="code">{{ $one->member->code }}</span>.
                    @if ($seesMarks)<a href="{{ route('rounds.work',
                        [$round, $one->work->code]) }}">Read it</a>@endif</p>
                    @if ($one->flag_text !== '')<p class="pl-3 border-l-3 border-rule my-1 whitespace-pre-line"
                        dir="auto">{{ $one->flag_text }}</p>@endif
                    @if ($one->flag_decided_at !== null)<p class="small quiet">
                        {{ $one->hidden_at === null ? 'Left as it is' : 'Hidden' }}
                        {{ LocalTime::shown($one->flag_decided_at) }}: {{ $one->flag_reason }}</p>@endif
                    @unless ($round->isClosed() && $one->hidden_at !== null)
                    <form class="flex flex-wrap gap-2 items-end mt-1" method="post"
                        action="{{ route('peer-reviews.decide', $one) }}">@csrf @method('put')
                        <label class="grow small">The reason; its author reads it<input class="input" name="reason"
                            maxlength="2000"
                            value="{{ $one->flag_reason }}"></label>
                        <button class="button" name="hide" value="0">Leave it</button>
                        <button class="button primary" name="hide" value="1">Hide it</button></form>@endunless</div>
            @endforeach
            @foreach ($state->returned() as $one)
                <div class="px-4 py-3 border-b border-rule flex flex-wrap gap-x-4 items-baseline">
                    <p class="grow"><b>{{ ucfirst(__("peers.returned.{$one->returned_why->value}")) }}</b>:
                    {{ $one->member->user->name }} returned <span class="code">{{ $one->work->code }}</span>.
                    @if ($one->returned_text !== '')<span
                        class="block pl-3 border-l-3 border-rule my-1 whitespace-pre-line"
                        dir="auto">{{ $one->returned_text }}</span>@endif</p>
                    <form method="post" action="{{ route('peer-reviews.dealt', $one) }}">@csrf
                    @method('put')<button class="button">Dealt with</button></form></div>
            @endforeach</div>
        @endif
        <h2 class="mb-2">Who has done what</h2>
        <nav class="chips mb-2" aria-label="Students">@foreach ($filters as $key => [$name, $fits])<a
            href="{{ route('rounds.staff', $key === '' ? $round : [$round, 'show' => $key]) }}"
            aria-current="{{ $show === $key ? 'true' : 'false' }}">{{ $name }}
            {{ $people->filter($fits)->count() }}</a>@endforeach</nav>
        <div class="sheet scroll mb-5"><table class="table stacked"><thead><tr><th>Student</th><th>Reviews as</th>
        <th>Done</th><th>Late</th>
            <th>Very quick</th><th>Minutes</th>
            @if ($round->trials->isNotEmpty())<th>Trial scripts</th>@endif
            @if ($round->isClosed())<th>For reviewing</th>@endif</tr></thead>
            <tbody>@forelse ($shown->take($most) as $one)
                <tr><td>{{ $one['member']->user->name }}@if ($one['member']->left_at !== null)<span class="quiet small">
                has left</span>@endif</td>
                    <td data-label="Reviews as"><span class="code">{{ $one['member']->code }}</span></td>
                    <td data-label="Done">{{ $one['done'] }}
                    of {{ $one['asked'] }}@if ($one['begun'] > 0)<span class="quiet">, {{ $one['begun'] }}
                    begun</span>@endif
                        @if ($one['returned'] > 0)<span class="quiet">, {{ $one['returned'] }} returned</span>@endif
                        @if ($one['member']->lost > 0)<span class="quiet">, {{ $one['member']->lost }}
                        went to others</span>@endif
                        @if ($one['member']->extra > 0)<span class="quiet">, offers {{ $one['member']->extra }}
                        more</span>@endif</td>
                    <td data-label="Late">{{ $one['late'] ?: '' }}</td>
                    <td data-label="Very quick">{{ $one['quick'] ?: '' }}</td>
                    <td data-label="Minutes">{{ $one['minutes'] ?: '' }}</td>
                    @if ($round->trials->isNotEmpty())<td data-label="Trial scripts">{{ $one['trials'] }}
                    of {{ $round->trials->count() }}
                        @if ($round->settings->trialPass !== null && $one['member']->let_in_at === null
                            && ! $round->isClosed() && $one['done'] + $one['begun'] === 0)
                        <form class="inline" method="post"
                            action="{{ route('rounds.let-in', $round) }}">@csrf<input type="hidden" name="code"
                            value="{{ $one['member']->code }}"><button class="link small">let in without</button></form>
                            @endif</td>@endif
                    @if ($round->isClosed())<td data-label="For reviewing">
                        @if ($one['member']->reviewing_mark !== null)<details>
                        <summary><b>{{ $one['member']->reviewing_mark }}</b></summary><x-working
                            :lines="$one['member']->reviewing_working" /></details>@endif</td>@endif</tr>
            @empty<tr><td colspan="8" class="quiet">Nobody.</td></tr>@endforelse</tbody></table></div>
        @if ($shown->count() > $most)<p class="quiet mb-5">The first {{ $most }}
        of {{ $shown->count() }}. Choose above to see fewer.</p>@endif
        @if (! $seesMarks)<p class="notice">
            What peers gave stays closed to you while you have marks of your own to make here.</p>
        @elseif ($round->settings->peers)
            @php($first = $state->lookFirst())
            @php($ranges = $round->settings->method === Method::Reliability ? 'Interval' : 'Range')
            @if ($first !== [])
            <h2 class="mb-2">Look at these first</h2>
            <ul class="sheet px-4 py-2 mb-5">
                @foreach ($first as $one)<li class="py-1"><a class="code" href="{{ route('rounds.work',
                [$round, $one['work']->code]) }}">{{ $one['work']->code }}</a>
                <span class="quiet">{{ $one['why'] }}</span></li>@endforeach</ul>
            @endif
            <h2 class="mb-1">Peers’ marks</h2>
            <p class="quiet mb-2">{{ __($round->isClosed() ? 'peers.how_combined' : 'peers.how_combined_now',
                ['method' => __('peers.method.'.$round->settings->method->value)]) }}
                Open a code for the reviews beside each other and the working.</p>
            <div class="sheet scroll mb-5"><table class="table stacked"><thead><tr><th>Work</th><th>Reviews</th>
            <th>Peers’ marks</th>
                <th>Combined</th><th>{{ $ranges }}</th><th>Staff</th></tr></thead>
                @php($marks = $state->marks())
                <tbody>@foreach ($state->works->take($most) as $work)
                    @php($of = $marks->get($work->id)) @php($one = $beside->combined[$work->id] ?? null)
                    <tr><td><a class="code" href="{{ route('rounds.work',
                        [$round, $work->code]) }}">{{ $work->code }}</a></td>
                        <td data-label="Reviews">{{ $of?->count() ?? 0 }} of {{ $work->wanted }}</td>
                        <td data-label="Peers’ marks">{{ $of?->map(fn ($mark) => YoungHarbor\Core\Figures\Figure::plain($mark))
                            ->implode('  ') }}</td>
                        <td data-label="Combined"><b>{{ $one['combined'] ?? '' }}</b></td>
                        <td data-label="{{ $ranges }}">{{ match (true) {
                            ($one['low'] ?? null) !== null => "{$one['low']} to {$one['high']}",
                            $one !== null && $of?->count() > 1 => YoungHarbor\Core\Figures\Figure::plain($of->first())
                                .' to '.YoungHarbor\Core\Figures\Figure::plain($of->last()),
                            default => '',
                        } }}</td>
                        <td data-label="Staff">{{ $beside->staff[$work->id] ?? '' }}</td></tr>
                @endforeach</tbody></table></div>
            @if ($state->works->count() > $most)<p class="quiet mb-5">The first {{ $most }}
            of {{ $state->works->count() }} by code.</p>@endif
            @php($learnt = $state->learnt())
            @if ($learnt !== [])
                <h2 class="mb-2">{{ __('peers.learnt_title') }}</h2>
                <ul class="sheet px-4 py-2 mb-5">@foreach ($learnt as [$code, $text])<li class="py-1"><span
                    class="code">{{ $code }}</span> <span class="whitespace-pre-line" dir="auto">{{ $text }}</span></li>@endforeach</ul>
            @endif
            @include('peers.among', ['among' => $state->agreement()])
            @include('peers.beside-staff')
        @endif
    @else
        <p class="max-w-[44rem]">
            {{ $round->isOpened() ? 'Students see the steps and the times. Nothing is given out before the round begins.'
            : 'Look at it once more, add trial scripts if students should try first, then show it to students.' }}</p>
    @endif
    </div>
    <aside class="self-start">
        @if (! $round->isOpened())
            <form class="panel mb-4" method="post" action="{{ route('rounds.open', $round) }}">@csrf
                <h2 class="mb-1">Show it to students</h2>
                <p class="mb-2">They see the steps and times from then on. It runs by itself.</p>
                <div class="flex justify-end"><button class="button primary">Show it</button></div></form>
        @elseif (! $round->isClosed())
            <form class="panel mb-4" method="post" action="{{ route('rounds.give', $round) }}">@csrf
                <h2 class="mb-1">{{ $round->given_at === null ? 'Give reviews out now' : 'Plan anew now' }}</h2>
                <p class="mb-2">{{ $round->given_at === null ? 'Before the time that is set, for all whose work is in.'
                    : 'Late work comes in; what is not begun moves where it must. By itself: '.implode(', ', array_map(
                        fn ($time) => LocalTime::shown($time),
                            array_filter($round->replanTimes(), fn ($time) => $time->isFuture()))).'.' }}</p>
                <div class="flex justify-end">
                    <button class="button">{{ $round->given_at === null ? 'Give out' : 'Plan anew' }}</button></div>
                    </form>
            @if ($round->given_at !== null)
            <form class="panel mb-4" method="post" action="{{ route('rounds.close', $round) }}">@csrf
                <h2 class="mb-1">Close the round</h2><p class="mb-2">{{ $round->settings->counts()
                    ? 'Peers’ marks are combined, reviewing is marked, and what counts joins the marks.'
                        : 'Peers’ marks are combined.' }}
                    Nothing changes afterwards. Results wait for it where something counts.</p>
                <div class="flex justify-end"><button class="button">Close it</button></div></form>@endif
        @endif
        <section class="panel"><h2 class="mb-1">In short</h2><ul class="list-disc ml-5">
            <li>Students {{ __('peers.kind.'.($round->settings->peers ? ($round->settings->self ? 'both' : 'peers')
                : 'self')) }}: {{ __('peers.on_short.'.$round->settings->on->value) }}.</li>
            @if ($round->settings->peers)<li>
                Each writes {{ $round->settings->each }}; names seen: {{ __(
                'peers.names.'.$round->settings->names->value) }}.</li>
            <li>Authors see reviews: {{ __('peers.seen.'.$round->settings->seen->value) }}.</li>@endif
            <li>In the mark: {{ $round->settings->counts()
                ? $round->settings->share.' % peers’ marks, '.$round->settings->reviewing.' % for reviewing'
                : 'nothing' }}.</li></ul></section>
    </aside></div>
</x-page>
