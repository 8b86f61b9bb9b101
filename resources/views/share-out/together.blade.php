@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\{CommentCriterion, LevelCriterion, MarkForm};
    $initials = fn (string $name): string => mb_strtoupper(
        implode('', array_map(fn ($part) => mb_substr($part, 0, 1),
        array_slice(preg_split('/[\s\-]+/u', $name) ?: [], 0, 3))));
@endphp
<x-page :title="'Starting together: '.$assignment->title" at="modules" quiet-errors>
    <x-slot:head><x-fairway :assignment="$assignment"
        :here="$coordinates ? YoungHarbor\Core\Stage::ShareOut : YoungHarbor\Core\Stage::Mark" /></x-slot:head>
    @if ($coordinates)@include('share-out.tabs', ['at' => 'together'])@endif
    @foreach ($errors->all() as $message)<div class="notice refusal" role="alert">{{ $message }}</div>@endforeach
    <div @class(['split' => $coordinates])>
        <div class="min-w-0">
            @if ($picked->isEmpty())
                <x-empty title="No script is marked together">
                    Before the real marking, everyone marks the same few scripts, compares, and agrees how the levels are meant. These marks count for nothing.@unless ($coordinates)
                    The coordinator chooses the scripts.@endunless</x-empty>
            @elseif ($shown->isEmpty())
                <x-empty title="The others’ marks open when yours are done">{{ $own->filter->isDone()->count() }}
                of your {{ $own->count() }} are done.
                <a href="{{ route('mark.index', $assignment) }}">Go to your scripts</a></x-empty>
            @else
                <p class="quiet mb-4">{{ $done }} of {{ $all }}
                marks are in; those count for nothing. Each mark stands on its criterion’s line with its marker’s initials.
                </p>
                @foreach ($shown as $code => $marks)
                    @php
                        $finished = $marks->filter->isDone()->values();
                    @endphp
                    <section class="sheet px-4 py-3 mb-5">
                        <h2 class="mb-2"><span class="code">{{ $code }}</span>
                        <span class="quiet font-normal small">{{ $finished->count() }} of {{ $marks->count() }}
                        done</span></h2>
                        @if ($finished->isEmpty())<p class="quiet">Nobody is done yet.</p>@else
                            <div class="scroll" tabindex="0" role="region"
                                aria-label="Marks of {{ $code }} beside each other">
                                <table class="table small table-fixed min-w-[780px]">
                                <thead><tr><th class="w-56"></th>
                                @foreach ($finished as $mark)<th class="whitespace-normal!">{{ $mark->marker->name }}
                                <b>{{ $initials($mark->marker->name) }}</b></th>@endforeach</tr></thead>
                                <tbody>
                                    <tr><td class="font-bold">Total</td>
                                    @foreach ($finished as $mark)<td class="font-bold">{{ $mark->shownTotal() }}</td>
                                    @endforeach</tr>
                                    @foreach ($rubric?->criteria ?? [] as $criterion)
                                        @continue($criterion instanceof CommentCriterion)
                                        @php
                                            $max = max(0.001, $criterion->max()->toFloat());
                                            $at = fn (float $points): float => round(10 + 190 * $points / $max, 1);
                                            $by = $finished->groupBy(
                                                fn ($mark) => ($points = $mark->score()
                                                ->line($criterion->id())?->points) === null ? ''
                                                : Figure::plain($points))->forget('')->sortKeys(SORT_NUMERIC);
                                            $last = -99; $row = 1;
                                        @endphp
                                        <tr class="align-top!"><td class="align-top!"><b>{{ $criterion->title() }}</b>
                                        <span class="quiet">of {{ Figure::plain($criterion->max()) }}</span>
                                            <svg class="block" width="210" height="48" role="img"
                                                aria-label="Where each mark on {{ $criterion->title() }} lies: {{ $by->map(
                                                fn ($alike, $points) => $alike->map(fn ($mark) => $mark->marker->name)
                                                ->implode(', ').' '.$points)->implode('; ') }}">
                                                <line x1="10" x2="200" y1="41" y2="41" stroke="var(--shallow)"
                                                    stroke-width="5" />
                                                @foreach ($criterion instanceof LevelCriterion ? $criterion->usable()
                                                    : [] as $level)<line x1="{{ $at($level->points->toFloat()) }}"
                                                    x2="{{ $at($level->points->toFloat()) }}" y1="36" y2="46"
                                                    stroke="var(--quiet)"><title>{{ $level->title }}</title>
                                                    </line>@endforeach
                                                @foreach ($by as $points => $alike)
                                                    @php
                                                        $x = $at((float) $points);
                                                        $row = $x - $last < 44 ? 1 - $row : 1;
                                                        $last = $x;
                                                    @endphp
                                                    <path d="M{{ $x - 5 }} 43 v-7 l5 -5 l5 5 v7 z" fill="var(--sheet)"
                                                        stroke="var(--ink)" stroke-width="1.5" /><text x="{{ max(16,
                                                        min(194, $x)) }}" y="{{ $row === 1 ? 26 : 13 }}" font-size="11"
                                                        text-anchor="middle" fill="var(--ink)">{{ $alike->map(fn ($mark) => $initials($mark->marker->name))->implode(' ') }}</text>
                                                @endforeach
                                            </svg></td>
                                            @foreach ($finished as $mark)
                                                @php
                                                    $set = $mark->choices->on($criterion->id());
                                                @endphp
                                                @php
                                                    $line = $mark->score()->line($criterion->id());
                                                @endphp
                                                <td class="align-top!"><b>{{ $line?->points === null ? ''
                                                    : Figure::plain($line->points) }}</b>
                                                    {{ MarkForm::inWords($criterion,
                                                        $set) }}@if ($set->comment !== '')<span class="quiet block"
                                                        dir="auto">{{ $set->comment }}</span>@endif</td>
                                            @endforeach
                                        </tr>
                                    @endforeach
                                </tbody>
                            </table></div>
                        @endif
                    </section>
                @endforeach
            @endif
            @if ($rubric && ($picked->isNotEmpty() || $notes->isNotEmpty()) && ($coordinates || $shown->isNotEmpty()))
                <form method="post" action="{{ route('together.levels', $assignment) }}">
                    @csrf @method('put')
                    <h2 class="mb-1">How the levels are meant</h2>
                    <p class="quiet small mb-3">
                        What you agreed. Every marker of this assignment has it at the desk with one key, and may write here.
                        </p>
                    @foreach ($rubric->criteria as $criterion)
                        @php
                            $note = $notes->get($criterion->id());
                        @endphp
                        <label class="label" for="n-{{ $criterion->id() }}">{{ $criterion->title() }}
                        @if ($note)<span class="hint">{{ $note->savedBy->name }}, {{ App\Wording\LocalTime::shown(
                            $note->updated_at) }}</span>@endif</label>
                        @if (old("note.{$criterion->id()}") !== null && old("note.{$criterion->id()}") !== $note?->text
                            && $note)<p class="quiet small whitespace-pre-line mb-1">{{ $note->text }}</p>@endif
                        <input type="hidden" name="seen[{{ $criterion->id() }}]" value="{{ $note?->text }}">
                        <textarea class="input mb-3 min-h-14! field-sizing-content" id="n-{{ $criterion->id() }}"
                            name="note[{{ $criterion->id() }}]"
                            rows="2">{{ old("note.{$criterion->id()}", $note?->text) }}</textarea>
                    @endforeach
                    <div class="flex justify-end"><button class="button primary">Save</button></div>
                </form>
            @endif
        </div>
        @if ($coordinates)
            <aside>
                <form class="panel" method="post" action="{{ route('together.store', $assignment) }}">
                    @csrf
                    @if ($cannot)<p class="notice mb-2">{{ $cannot }}</p>@endif
                    <fieldset><legend class="label">Scripts that everyone marks first</legend>
                        <p class="hint mb-2">Three or four, unlike each other: look at their lengths and subjects, not at who wrote them. They are marked for real too, later, by their own markers.
                        </p>
                        <div class="max-h-80 overflow-y-auto">
                            @foreach ($scripts as $script)<label class="block py-0.5"><input type="checkbox"
                            name="scripts[]" value="{{ $script->code }}" @checked($picked->contains($script->code))
                            @disabled($cannot !== null && ! $picked->contains($script->code))>
                            <span class="code">{{ $script->code }}</span></label>@endforeach</div>
                        @if ($scripts->isEmpty())<p class="quiet">Nothing is handed in yet.</p>@endif
                    </fieldset>
                    <p class="hint mt-2">Who marks is agreed under “Who marks what”.</p>
                    <div class="flex justify-end mt-2">
                        <button @class(['button', 'primary' => $picked->isEmpty() && ! $cannot])
                        @disabled($cannot !== null && $picked->isEmpty())>
                        {{ $picked->isEmpty() ? 'Let everyone mark these' : 'Change them' }}</button></div>
                </form>
            </aside>
        @endif
    </div>
</x-page>
