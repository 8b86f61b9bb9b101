@php
    use App\Desk\DeskQueue;
    use YoungHarbor\Core\Allocation\Pace;
    $count = ['' => $counts->every, 'open' => $counts->open, 'begun' => $counts->begun, 'aside' => $counts->aside,
        'done' => $counts->done, 'flagged' => $flagged];
    $to = fn (array $change): string => route('mark.index',
        [$assignment, ...array_filter([...$filter, ...$change], fn ($value) => $value !== null && $value !== '')]);
@endphp
<x-page :title="'Mark: '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Mark" /></x-slot:head>
    @if ($assignment->isObserved())<p class="mb-3"><a class="button primary" href="{{ route('observe.show',
        $assignment) }}">{{ __('observe.page.observe') }}</a> <a class="ml-3" href="{{ route('slots.index',
        $assignment) }}">{{ __('observe.title') }}</a> <span class="quiet ml-2">{{ __('observe.queue') }}</span></p>@endif
    @if ((int) $counts->every === 0)
        @if (! $coordinates || $progress->isEmpty())
            <x-empty title="No script is with you">
                {{ $coordinates ? 'Scripts are given out under Share out. If you mark too, choose yourself there.'
                : 'When the coordinator shares scripts out, yours are listed here and on Today.' }}</x-empty>
        @endif
    @else
        <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1 mb-2">
            <h2>Your scripts <span class="quiet font-normal">{{ (int) $counts->done }} of {{ (int) $counts->every }}
            done</span></h2>
            <span class="ml-auto flex gap-5 items-baseline">
                @if ($replies !== null)<a href="{{ route('replies.index', $assignment) }}">{{ trans_choice('replies.link', $replies,
                    ['count' => $replies]) }}</a>@endif
                @if ($together)<a href="{{ route('together.index', $assignment) }}">marked together</a>@endif
                <a href="{{ route('bank.index') }}">comment bank</a>
                <a href="{{ route('mark.zip', $assignment) }}">all as a ZIP, without names</a>
                @if ($next)<a class="button primary" data-key="n"
                    href="{{ route('mark.desk', [$next, ...$filter]) }}">{{ $next->touched_at ? 'Go on at the desk'
                    : 'Go to the desk' }}</a>@endif
            </span>
        </div>
        <div class="flex flex-wrap items-baseline gap-x-8 gap-y-1 mb-2">
            <nav class="chips" aria-label="Which scripts">
                @foreach (DeskQueue::SHOWN as $key => $name)
                    @continue($key !== '' && (int) $count[$key] === 0 && ($filter['show'] ?? '') !== $key)
                    <a href="{{ $to(['show' => $key]) }}"
                        aria-current="{{ ($filter['show'] ?? '') === $key ? 'true' : 'false' }}">{{ $name }}
                        {{ (int) $count[$key] }}</a>
                @endforeach
            </nav>
            @if ($sections !== [])
                <nav class="chips" aria-label="Section"><a href="{{ $to(['section' => null]) }}"
                    aria-current="{{ isset($filter['section']) ? 'false'
                    : 'true' }}">every section</a>@foreach ($sections as $section)<a href="{{ $to(
                    ['section' => $section]) }}"
                    aria-current="{{ ($filter['section'] ?? '') === $section ? 'true'
                    : 'false' }}">{{ $section }}</a>@endforeach</nav>
            @endif
            <nav class="chips" aria-label="In which order">
                @foreach (DeskQueue::ORDERS as $key => $name)<a href="{{ $to(['order' => $key]) }}"
                aria-current="{{ ($filter['order'] ?? '') === $key ? 'true'
                : 'false' }}">{{ $name }}</a>@endforeach</nav>
        </div>
        <div class="sheet scroll"><table class="table">
            <thead><tr><th>Script</th>@if ($assignment->namesRevealed())<th>Student</th>@endif<th>Your mark is</th>
            <th class="num">Words</th><th class="num">Comments</th><th class="num">Total</th><th>State</th></tr></thead>
            <tbody>
                @forelse ($marks as $mark)
                    <tr>
                        <td><a class="code" href="{{ route('mark.desk',
                            [$mark, ...$filter]) }}">{{ $mark->script->code }}</a></td>
                        @if ($assignment->namesRevealed())<td>{{ $mark->script->names() }}</td>@endif
                        <td>{{ $mark->counts ? 'the '.$mark->seat->value : 'together with all' }}</td>
                        <td class="num">{{ number_format($mark->handin->words) }}</td>
                        <td class="num">{{ $mark->comments_count ?: '' }}</td>
                        <td class="num font-bold">{{ $mark->shownTotal() ?? '' }}</td>
                        <td>@if ($mark->script->result
                            && $mark->counts)<span class="kelp">released</span>@elseif ($mark->isDone())<span
                            class="kelp">done</span>@elseif ($mark->aside_reason !== null)set aside: {{ $mark->aside_reason }}@else{{ $mark->begun_at
                            ? 'begun' : 'not begun' }}@endif</td>
                    </tr>
                @empty
                    <tr><td colspan="7" class="quiet">No script fits.
                    <a href="{{ route('mark.index', $assignment) }}">Show all of yours</a></td></tr>
                @endforelse
            </tbody>
        </table></div>
        <x-pages :pages="$marks" />
    @endif
    @if ($progress->isNotEmpty())
        <h2 class="mt-7 mb-2">How far is everyone
        @if ($assignment->promised_on)<span
            class="quiet font-normal">results are promised for {{ App\Wording\LocalTime::day(
            $assignment->promised_on) }}</span>@endif</h2>
        <form method="post" action="{{ route('mark.remind', $assignment) }}">
            @csrf
            <div class="sheet scroll"><table class="table">
                <thead><tr><th>Marker</th><th class="num">Given</th><th class="num">Begun</th><th class="num">Done</th>
                <th></th><th class="num">Minutes a script</th><th>Pace</th><th>Write to</th></tr></thead>
                <tbody>
                    @foreach ($progress as $row)
                        <tr><td>{{ $row['name'] }}</td><td class="num">{{ $row['given'] }}</td>
                        <td class="num">{{ $row['begun'] }}</td><td class="num">{{ $row['done'] }}</td>
                            <td><svg width="160" height="12" aria-hidden="true">
                                <rect x="0.5" y="1.5" width="159" height="9" fill="var(--sheet)"
                                stroke="var(--quiet)" />
                                <rect x="0.5" y="1.5" width="{{ round(159 * $row['done'] / max(1, $row['given']), 1) }}"
                                    height="9" fill="var(--deep)" /></svg></td>
                            <td class="num">{{ $row['minutes'] === null ? '–' : round($row['minutes']) }}</td>
                            <td @class(['signal' => $row['pace']->needsAttention()])>
                                {{ __('mark.pace.'.$row['pace']->value) }}{{ $row['aside'] > 0
                                ? ", {$row['aside']} set aside" : '' }}</td>
                            <td>@if ($row['pace'] !== Pace::Done)<input type="checkbox" name="to[]"
                                value="{{ $row['id'] }}" @checked($row['pace']->needsAttention())
                                aria-label="Write to {{ $row['name'] }}">@endif</td></tr>
                    @endforeach
                </tbody>
            </table></div>
            <p class="quiet small mt-1">
                Minutes are the median of the scripts done, counted at the desk without pauses. The pace compares scripts a day so far with what is left until the promised date.
                </p>
            @if ($progress->contains(fn ($row) => $row['pace'] !== Pace::Done))
                <details class="mt-3" @if ($errors->hasAny(['to', 'body'])) open @endif>
                    <summary class="link">Write to those ticked</summary>
                    <div class="panel mt-2 max-w-3xl">
                        <x-field name="body" label="What they read" rows="7"
                        :value="App\Actions\Mark\RemindMarkers::USUAL"
                        hint="{name}, {open}, {assignment}, {promised} and {link} are filled in for each." />
                        @error('to')<p class="error">{{ $message }}</p>@enderror
                        <div class="flex justify-end">
                            <button class="button primary">Send it</button></div></div></details>
            @endif
        </form>
    @endif
</x-page>
