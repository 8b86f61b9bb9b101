@php
    use App\Wording\UnplacedWords;

    $loads = $picture['loads'];
    $shares = array_column($draft->settings['markers'], 'share', 'marker');
    $fair = fn (string $id): float => $loads[$id]['fair'];
    $most = max(1, ...array_map(fn ($load) => $load['first'] + $load['second'], array_values($loads)),
        ...array_column($loads, 'fair'));
    $second = count($parts) > 1;
    $changes = count(array_filter($draft->entries, fn ($entry) => $entry['marker'] !== $entry['from']));
    $first = array_filter($draft->entries, fn ($entry) => $entry['from'] !== null) === [];
    $ids = array_map(strval(...), array_keys($loads));
    $pairs = [];
    foreach ($ids as $n => $one) {
        foreach (array_slice($ids, 0, $n) as $other) {
            $pairs[] = $picture['common'][$one][$other];
        }
    }
    $largest = max(1, ...($pairs === [] ? [1] : $pairs));
    $cell = count($ids) <= 12 ? 34 : 14;
@endphp
<div id="plan" data-plan="{{ route('share-out.move', $draft) }}" data-common="{{ json_encode($picture['common']) }}">
    <div class="flex flex-wrap items-baseline gap-x-4 mb-1">
        <h2>The plan <span class="quiet font-normal">{{ $changes === 0 ? 'changes nothing'
            : number_format($changes).($changes === 1 ? ' mark' : ' marks').($first ? ' to give out'
            : ($changes === 1 ? ' changes hands' : ' change hands')) }}{{ $draft->moves > 0
            ? ', '.($draft->moves === 1 ? '1 move' : "{$draft->moves} moves").' by hand' : '' }}</span></h2>
        <form class="ml-auto" method="post" action="{{ route('share-out.drop', $draft) }}">@csrf
        @method('delete')<button class="link small">Discard</button></form>
    </div>
    @unless ($assignment->isPastDue())<p class="signal mb-2">
        The due time is still to come, so scripts can change. You can look at a plan now and give it out after {{ App\Wording\LocalTime::shown(
        $assignment->due_at) }}.</p>@endunless
    <p class="quiet small mb-2">
        Filled: first marks{{ $second ? '; ringed: second marks'
        : '' }}; the upright line: the fair share. To move a script, drag its marker’s name below onto a line here, or choose the name and then the line.
        </p>
    <div class="sheet px-4 py-2 mb-4" id="lanes">
        @foreach ($ids as $id)
            @php($load = $loads[$id])
            @php($unit = min(15, 380 / $most))
            <div class="lane" data-lane="{{ $id }}" data-first="{{ $load['first'] }}"
                data-second="{{ $load['second'] }}">
                <span class="truncate">{{ $names[$id] ?? 'someone who has left' }}</span>
                <svg height="18" width="100%" viewBox="0 0 400 18" preserveAspectRatio="none" role="img"
                    aria-label="{{ $load['first'] }} first{{ $second ? " and {$load['second']} second"
                    : '' }}, fair share {{ round($fair($id), 1) }}">
                    @if ($most <= 60)
                        @for ($i = 0; $i < $load['first'] + $load['second']; $i++)
                            @if ($i < $load['first'])<rect x="{{ round($i * $unit + 1, 1) }}" y="4"
                                width="{{ round($unit - 2.5, 1) }}" height="10" fill="var(--deep)" />
                                @else<rect x="{{ round($i * $unit + 1.5, 1) }}" y="4.5"
                                    width="{{ round($unit - 3.5, 1) }}" height="9" fill="none"
                                    stroke="var(--deep)" />@endif
                        @endfor
                    @else
                        <rect x="1" y="4" width="{{ round($load['first'] * $unit, 1) }}" height="10"
                            fill="var(--deep)" /><rect x="{{ round($load['first'] * $unit + 1.5, 1) }}" y="4.5"
                            width="{{ round(max(0, $load['second'] * $unit - 1), 1) }}" height="9" fill="none"
                            stroke="var(--deep)" />
                    @endif
                    <line x1="{{ round($fair($id) * $unit, 1) }}" x2="{{ round($fair($id) * $unit, 1) }}" y1="0" y2="18"
                        stroke="var(--ink)" stroke-width="1.5" />
                </svg>
                <span class="quiet small truncate text-right"><span data-count>{{ $load['first'] }}
                first{{ $second ? ", {$load['second']} second" : '' }}@if ($load['begun'] > 0), {{ $load['begun'] }}
                begun @endif</span><span data-effect></span></span>
                <button class="button lane-put" type="button" data-put="{{ $id }}" hidden>put here</button>
            </div>
        @endforeach
        <p id="moving" class="small pt-2" role="status" hidden></p>
    </div>
    @if ($draft->unplaced !== [])
        <div class="notice refusal">
            <b>{{ count($draft->unplaced) === 1 ? 'One mark has nobody.'
            : count($draft->unplaced).' marks have nobody.' }}</b>
            <ul>@foreach (array_slice($draft->unplaced, 0, 20) as $one)
            <li><span class="code">{{ $one['script'] }}</span> {{ UnplacedWords::of($one) }}.</li>@endforeach</ul>
            @if (count($draft->unplaced) > 20)<p>And {{ count($draft->unplaced) - 20 }} more:
            <a href="{{ route('share-out.index', [$assignment, 'with' => 'nobody']) }}">show them</a></p>@endif
            <p class="mt-1">Change who marks or their sections and work it out again, or move these by hand.</p>
        </div>
    @endif
    @foreach ($draft->notes as $note)<p class="quiet small mb-2">{{ $note }}</p>@endforeach
    @if ($second && count($ids) > 2)
        <details class="fold mb-3" @if (count($ids) <= 12) open @endif>
            <summary><b>Who marks with whom</b>
            <span class="quiet small">{{ min($pairs) === max($pairs) ? 'each two have '.min($pairs)
                : 'each two have '.min($pairs).' to '.max($pairs) }} scripts in common</span></summary>
            <div class="scroll pb-2">
                <svg width="{{ 180 + $cell * count($ids) }}" height="{{ $cell * count($ids) + 4 }}" role="img"
                aria-label="Scripts in common of each two markers">
                @foreach ($ids as $n => $one)
                    <text x="{{ $n * $cell + 8 }}" y="{{ $n * $cell + $cell / 2 + 4 }}"
                        font-size="{{ $cell > 20 ? 13 : 10 }}"
                        fill="var(--quiet)">{{ Str::limit($names[$one] ?? '', 22) }}</text>
                    @foreach (array_slice($ids, 0, $n) as $m => $other)
                        @php($side = round(sqrt($picture['common'][$one][$other] / $largest) * ($cell - 4), 1))
                        <rect x="{{ $m * $cell + ($cell - $side) / 2 }}" y="{{ $n * $cell + ($cell - $side) / 2 }}"
                            width="{{ $side }}" height="{{ $side }}" fill="var(--shallow)" stroke="var(--deep)">
                            <title>{{ $names[$one] ?? '' }}
                            and {{ $names[$other] ?? '' }}: {{ $picture['common'][$one][$other] }}</title></rect>
                        @if ($cell > 20)<text x="{{ $m * $cell + $cell / 2 }}" y="{{ $n * $cell + $cell / 2 + 4 }}"
                            text-anchor="middle" font-size="12"
                            fill="var(--ink)">{{ $picture['common'][$one][$other] }}</text>@endif
                    @endforeach
                @endforeach
            </svg></div>
            <p class="hint">The more even, the better markers can be compared afterwards.</p>
        </details>
    @endif
    @include('share-out.table')
    <form class="panel mt-4 flex flex-wrap items-end gap-3" method="post"
        action="{{ route('share-out.move', $draft) }}">
        @csrf
        <input type="hidden" name="with" value="{{ $wanted }}"><input type="hidden" name="page"
            value="{{ $rows->currentPage() }}">
        <label>Move <input class="input inline! w-32!" name="script" placeholder="TERN-417"
            value="{{ old('script') }}"></label>
        @if ($second)<label>its <select class="input inline! w-auto!" name="part">
            <option value="first">first mark</option>
            <option value="second">second mark</option>
            </select></label>@else<input type="hidden" name="part" value="first">@endif
        <label>to <select class="input inline! w-auto!" name="to">
            @foreach ($shares as $id => $share)<option value="{{ $id }}">{{ $names[$id] ?? '' }}</option>@endforeach
            </select></label>
        <button class="button">Move it</button>
    </form>
    <form class="flex justify-end items-baseline gap-4 mt-4" method="post"
        action="{{ route('share-out.apply', $draft) }}">
        @csrf
        <input type="hidden" name="seen" value="{{ $draft->lock_version }}">
        <span class="quiet">Seed {{ $draft->seed }}, worked out {{ App\Wording\LocalTime::shown($draft->created_at) }}
        by {{ $draft->maker->name }}</span>
        <button class="button primary"
            @disabled(! $assignment->isPastDue() || $changes === 0)>Give {{ $changes === 1 ? 'it' : 'them' }}
            out</button>
    </form>
</div>
