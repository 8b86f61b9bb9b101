@php
    use App\Wording\LocalTime;
    use App\Wording\SampleWords;
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Marking\Seat;
    use YoungHarbor\Core\Marking\SecondView;
    use YoungHarbor\Core\Marking\Standing;
    use YoungHarbor\Core\Rubric\CommentCriterion;
    use YoungHarbor\Core\Rubric\CriterionKind;
    use YoungHarbor\Core\Rubric\CriterionMark;
    use YoungHarbor\Core\Rubric\LevelCriterion;
    use YoungHarbor\Core\Rubric\MarkForm;
    use YoungHarbor\Core\Rubric\Weighting;
    $settled = $script->settlement;
    $third = $script->mark(Seat::Third);
    $sides = $script->marks->sortBy(fn ($mark) => array_search($mark->seat, Seat::cases(), true))->values();
    $columns = $sides->count() > 2 ? 'sides three' : 'sides';
    $waitsForThird = $third && ! $third->isDone();
    $label = fn ($mark) => ucfirst(__("mark.seat.{$mark->seat->value}")).($mark->seat === Seat::First ? ''
        : ', '.__("moderate.seen.{$mark->view->value}"));
    $signed = fn ($gap) => ($gap->isPositive() ? '+' : '').Figure::shown($gap, 2);
    $widest = collect($gaps)->map(fn ($gap) => abs($gap->gap()->toFloat()))->max() ?: 1;
    $toSettle = $why !== null && ! $settled && ! $waitsForThird && ! $script->result;
@endphp
<x-page :title="'Settle: '.$script->code" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-4">
        <h2 class="code">{{ $script->code }}</h2>
        @if ($settled)<span class="kelp">agreed {{ $settled->shownMark() }}</span>
        @elseif ($waitsForThird)<span class="quiet">with a third marker, {{ $third->marker->name }}</span>
        @elseif ($why)<span class="signal">to settle: {{ $why }}</span>
            @if ($script->to_settle_at)<span @class(['signal' => $script->settleBy()->isPast(), 'quiet' =>
                ! $script->settleBy()->isPast(), 'small'])>{{ $script->settleBy()->isPast() ? 'was to be settled by'
                : 'by' }} {{ LocalTime::shown($script->settleBy()) }}</span>@endif
        @elseif ($sides->count() < 2 && $first?->isDone())<span class="quiet">one mark</span>
        @else<span class="quiet">waiting for {{ $first?->isDone() ? 'the second' : 'the first' }} mark</span>@endif
        @if ($script->inSample)<span class="quiet small">in the sample: {{ SampleWords::keys(
            $script->inSample->reasons) }}</span>@endif
        <span class="ml-auto whitespace-nowrap">@if ($around['place'])<span class="quiet">{{ $around['place'] }}
            of {{ $around['all'] }}</span>@endif
            @if ($around['previous'])<a class="ml-2" rel="prev" href="{{ route('moderate.show', [$around['previous'],
                ...$show]) }}">‹ previous</a>@endif
            @if ($around['next'])<a class="ml-2" rel="next" href="{{ route('moderate.show', [$around['next'],
                ...$show]) }}">next ›</a>@endif
            @can('viewLogbook', $assignment->module)<a class="ml-3"
                href="{{ route('logbook', [$assignment->module, 'code' => $script->code]) }}">its logbook</a>@endcan
            <a class="ml-3" href="{{ route('moderate.index', [$assignment, ...$show]) }}">all scripts</a></span>
    </div>
    <div class="split">
        <div class="min-w-0">
            <div class="{{ $columns }} mb-5">
                @foreach ($sides as $mark)
                    <div class="panel"><span class="quiet small">{{ $label($mark) }}</span><br><b
                        class="text-2xl">{{ $mark->shownTotal() ?? 'not done' }}</b>@if ($mark->isDone()
                        && ! $mark->score()->exactPercent()->isEqualTo($mark->exactTotal()))
                        <span class="quiet small">from {{ Figure::shown($mark->score()
                            ->exactPercent()) }}</span>@endif<br><span
                            class="quiet small">{{ $mark->marker->name }}{{ $mine && $mark->is($mine) ? ', that is you'
                            : '' }}</span>@if ($mark->isDone() && $mark->view === SecondView::Check)<br><span
                            class="quiet small">{{ trans_choice('moderate.checked_for', max(1, (int) round(
                            $mark->seconds / 60))) }}</span>@endif @if ($mark->isDone() && $mark->agrees)<br><span class="kelp small">agrees with
                            the first mark</span>@endif
                        @if ($mark->isDone() && $mark->reason !== '')<p class="small mt-1 whitespace-pre-line"
                            dir="auto">{{ $mark->reason }}</p>@endif</div>
                @endforeach
            </div>
            @if ($gaps !== [] && ! $script->panel()->firstAboveSecond()?->isZero())
                <section class="mb-5">
                    <h3 class="mb-1">Where the difference comes from</h3>
                    <div class="sheet scroll"><table class="table">
                        <thead><tr><th>Criterion</th><th class="num">Difference</th><th class="num">First</th>
                            <th class="num">Second</th><th class="relative"><span class="sr-only">As a bar</span></th></tr></thead>
                        <tbody>@foreach ($gaps as $gap)
                            @php $part = $gap->gap()->toFloat() / $widest; @endphp
                            <tr><td>{{ $gap->criterion->title() }}</td>
                                <td class="num">{{ $signed($gap->gap()) }}</td>
                                <td class="num">{{ Figure::shown($gap->first, 2) }}</td>
                                <td class="num">{{ Figure::shown($gap->second, 2) }}</td>
                                <td><svg width="124" height="14" aria-hidden="true"><line x1="62" x2="62" y1="0" y2="14"
                                    stroke="var(--ink)" /><rect x="{{ round($part < 0 ? 62 + 60 * $part : 62, 1) }}" y="3"
                                    width="{{ round(abs(60 * $part), 1) }}" height="8" fill="var(--deep)" /></svg></td></tr>
                        @endforeach</tbody>
                        <tfoot><tr><th>Together, before rounding</th>
                            <td class="num font-bold">{{ $signed(collect($gaps)->reduce(fn ($sum, $gap) => $sum->plus(
                            $gap->gap()), Brick\Math\BigRational::zero())) }}</td><td></td><td></td><td></td></tr></tfoot>
                    </table></div>
                    <p class="hint">In marks out of 100, with each criterion’s weight: what each adds to how far the two totals
                        lie apart. Right of the line the first marker gave more.</p>
                </section>
            @endif
            @if ($toSettle && $mine)
                @include('moderate.offer', ['action' => route('moderate.propose', [$script, ...$show]),
                    'title' => $open ? 'Propose another mark' : 'Propose an agreed mark', 'button' => 'Propose it'])
            @elseif ($toSettle && auth()->user()->can('decide', $script))
                <details class="mb-5" @if ($errors->any()) open @endif><summary class="link">
                    Decide it as a coordinator, as the last resort</summary>
                    <div class="mt-2">@include('moderate.offer', ['action' => route('moderate.decide', [$script, ...$show]),
                    'title' => 'Decide the mark', 'button' => 'Decide']) </div></details>
            @endif
            <details class="fold mb-5" data-text @if ($toSettle) open @endif>
                <summary><b>The script</b>
                <span class="quiet small">as markers read it, {{ number_format($read->words) }} words</span></summary>
                @foreach ($read->files as $file)@if ($file->link)<p class="mt-2"><a href="{{ $file->link }}"
                    target="_blank" rel="noreferrer noopener">{{ $file->link }}</a></p>@endif @endforeach
                <div class="reading-pair mt-2">
                    <article class="text sheet px-6 py-4 max-h-[70vh] overflow-y-auto" tabindex="0"
                        aria-label="The script" dir="auto">{!! $read->html !!}</article>
                    <div class="max-h-[70vh] overflow-y-auto" data-others tabindex="0" aria-label="Comments on the script">
                        @foreach ($done as $mark)
                            <h3 class="small mt-1"><span class="seat-line {{ $mark->seat->value }}">{{ ucfirst(__(
                                "mark.seat.{$mark->seat->value}")) }}</span>
                                <span class="quiet font-normal">{{ trans_choice('mark.comments_on_script', count(
                                $notes[$mark->seat->value] ?? [])) }}</span></h3>
                            <ol>@foreach ($notes[$mark->seat->value] ?? [] as $note)
                                <li class="py-1 small border-b border-rule" data-seat="{{ $mark->seat->value }}"
                                    @if ($note['place'] !== null) data-place="{{ $note['place'][0] }} {{ $note['place'][1] }}"
                                    @endif><b>{{ __('mark.comment_kind.'.$note['kind']) }}</b>@if ($note['criterion'])
                                    <span class="quiet">· {{ $rubric?->criterion($note['criterion'])?->title() }}</span>@endif
                                    <button class="link" type="button" data-show hidden>show</button>
                                    <span class="quiet block font-text" dir="auto">{{ isset($note['anchor']['page'])
                                    ? "page {$note['anchor']['page']}"
                                    : '“'.Str::limit(Str::squish($note['anchor']['exact']), 110).'”' }}</span>
                                    <span class="whitespace-pre-line" dir="auto">{{ $note['body'] }}</span></li>
                            @endforeach</ol>
                        @endforeach
                    </div>
                </div>
                @if ($mine)<p class="mt-2">
                    <a href="{{ route('mark.desk', $mine) }}">With your comments, at your desk</a></p>@endif
            </details>
            @includeWhen($records !== [], 'observe.record')
            @foreach ($rubric?->criteria ?? [] as $criterion)
                <section class="mb-5">
                    <h3 class="mb-1">{{ $criterion->title() }}
                    @unless ($criterion->kind() === CriterionKind::Comment)<span
                        class="quiet small font-normal">{{ $rubric->weighting === Weighting::Points
                        ? Figure::plain($criterion->max()).' points'
                        : Figure::plain($criterion->weight()).' %' }}</span>@endunless</h3>
                    <div class="{{ $columns }}">
                        @foreach ($sides as $mark)
                            @php
                                $set = $mark->isDone() ? $mark->choices->on($criterion->id()) : new CriterionMark;
                                $points = $set->isEmpty() || $set->notApplicable ? null : $criterion->points($set);
                                $level = $points && $criterion instanceof LevelCriterion ? $criterion->reached($points)
                                    : null;
                                $words = $set->isEmpty() ? '' : MarkForm::inWords($criterion, $set);
                            @endphp
                            <div class="sheet px-4 py-3">
                                <span class="quiet small block">{{ ucfirst(__("mark.seat.{$mark->seat->value}")) }}</span>
                                @if (! $criterion instanceof CommentCriterion)<b>{{ $points ? Figure::plain($points)
                                    : '–' }}</b>
                                    <span class="quiet">of {{ Figure::plain($criterion->max()) }}{{ $words === '' ? ''
                                        : ', '.$words }}</span>
                                @elseif ($set->comment === '')<span class="quiet">nothing written</span>@endif
                                @if ($level)<p class="small quiet">{{ $level->descriptor }}</p>@endif
                                @if ($set->comment !== '')<p class="mt-1 whitespace-pre-line"
                                    dir="auto">{{ $set->comment }}</p>@endif
                            </div>
                        @endforeach
                    </div>
                </section>
            @endforeach
            <section>
                <h3 class="mb-1">In general</h3>
                <div class="{{ $columns }}">
                    @foreach ($sides as $mark)<div class="sheet px-4 py-3 whitespace-pre-line" dir="auto">{{ $mark->isDone()
                        && $mark->general_comment !== '' ? $mark->general_comment : '–' }}</div>@endforeach
                </div>
            </section>
        </div>
        <aside>
            @foreach ($lines as $line)
                @if ($line->event === App\Logbook\LogEvent::MarkHandedOver)
                    <p class="notice small">
                        {{ ucfirst($reading->what($line)) }}, {{ LocalTime::shown(
                        $line->when()) }}: from {{ $reading->person($line, 'from') }}
                        to {{ $reading->person($line, 'to') }}.@can('viewAllMarks', $assignment)
                        {{ $reading->said($line, 'reason') }}@endcan</p>
                @else
                    <p class="notice small">
                        The name behind this script was looked at before release: {{ $reading->who(
                        $line) }}, {{ LocalTime::shown($line->when()) }}.@can('viewAllMarks', $assignment)
                        Reason given: “{{ $reading->said($line, 'reason') }}”@endcan</p>
                @endif
            @endforeach
            @if ($settled)
                <div class="panel mb-4"><h2 class="mb-1">How {{ $settled->shownMark() }}
                came about</h2><x-working :lines="$settled->working" />
                <p class="small quiet mt-2">{{ __('moderate.student_reads', ['whose' => implode(', ', array_map(
                    fn ($seat) => __("mark.seat.{$seat->value}"), $settled->feedback->from))]) }}</p>
                @if ($done->count() > 1 && ! $script->result && auth()->user()->can('openSettled', $script))
                    <details class="mt-2" @error('from') open @enderror><summary class="link">
                        Change whose comments they read</summary>
                        <form class="mt-2" method="post" action="{{ route('moderate.feedback', [$script, ...$show]) }}">
                            @csrf @method('put')
                            @foreach ($done as $mark)<label class="block py-1"><input type="checkbox" name="from[]"
                                value="{{ $mark->seat->value }}" @checked($settled->feedback->has($mark->seat))>
                                {{ __("moderate.comments_of.{$mark->seat->value}") }}</label>@endforeach
                            @error('from')<p class="error">{{ $message }}</p>@enderror
                            <label class="block py-1 small"><input type="checkbox" name="own_general" value="1"
                                @checked($settled->feedback->general !== null)> In general, in place of theirs:</label>
                            <label class="sr-only" for="f-own">In general</label>
                            <textarea class="input" id="f-own" name="general" rows="3" dir="auto">{{
                                $settled->feedback->general ?? $done->map(fn ($mark) => trim($mark->general_comment))
                                ->filter()->implode("\n\n") }}</textarea>
                            <div class="flex justify-end mt-2"><button class="button">Save</button></div></form></details>
                @endif
                @if ($sides->count() > 1 && ! $script->result && auth()->user()->can('openSettled', $script))
                    <details class="mt-3"><summary class="link">Open it again</summary>
                        <form class="mt-2" method="post" action="{{ route('moderate.open', [$script, ...$show]) }}">@csrf
                            <x-field name="why" label="Why" rows="3"
                                hint="What was settled stays to be read. The other marker and the examiner see the reason." />
                            <div class="flex justify-end"><button class="button">Open it again</button></div></form></details>
                @endif</div>
            @endif
            @if ($open && ! $settled)
                <div class="panel mb-4">
                    <span class="quiet small">{{ $open->proposer->name }}
                    proposes, {{ LocalTime::shown($open->created_at) }}</span><br>
                    <b class="text-2xl">{{ $open->shownMark() }}</b>
                    <p class="mt-1 whitespace-pre-line" dir="auto">{{ $open->reason }}</p>
                    @unless ($open->choices->isEmpty())
                        <table class="table small mt-2"><tbody>@foreach ($rubric->criteria as $criterion)
                            @php $set = $open->choices->on($criterion->id()); @endphp
                            <tr><td>{{ $criterion->title() }}</td><td class="num">{{ $set->isUnset() || $set->notApplicable
                                ? '' : Figure::plain($criterion->points($set) ?? Brick\Math\BigDecimal::zero()) }}</td>
                                <td class="quiet">{{ $set->isUnset() ? '' : MarkForm::inWords($criterion, $set) }}</td></tr>
                        @endforeach</tbody></table>
                    @endunless
                    <p class="small quiet mt-2">{{ __('moderate.student_reads', ['whose' => implode(', ', array_map(
                        fn ($seat) => __("mark.seat.{$seat->value}"), $open->feedback->from))]) }}</p>
                    @if ($mine && $open->proposed_by !== $mine->marker_id)
                        <form class="flex justify-end mt-3" method="post"
                            action="{{ route('moderate.accept', [$script, ...$show]) }}">@csrf<input type="hidden"
                            name="proposal" value="{{ $open->id }}"><button class="button primary">
                            Accept {{ $open->shownMark() }}</button></form>
                    @elseif ($mine)<p class="quiet small mt-2">The other marker has to accept it.</p>@endif
                </div>
            @endif
            @if ($toSettle && ! $mine && ! $open)
                <p class="quiet mb-4">Its markers settle this script: one proposes a mark with a reason, the other accepts it.
                </p>
            @endif
            @if ($toSettle && $third === null && auth()->user()->can('askForThird', $script))
                <details class="panel mb-4"><summary><b>Ask for a third marker</b></summary>
                    <form class="mt-2" method="post" action="{{ route('moderate.third', [$script, ...$show]) }}">@csrf
                        <p class="small mb-2">{{ __('moderate.third_rule', ['rule' => __(
                            "plan.rule.{$assignment->scheme->thirdRule->value}")]) }}</p>
                        <x-choice name="view" label="The third marker sees"
                            :options="['open' => 'both marks', 'blind' => 'neither mark']" value="open" />
                        <x-field name="why" label="What it is about, if you like" rows="2" />
                        <div class="flex justify-end"><button class="button">Ask for a third</button></div></form></details>
            @endif
            @if ($waitsForThird && count($team) > 0)
                <details class="panel mb-4" @error('to') open @enderror><summary>
                    <b>Give the third mark to someone else</b></summary>
                    <form class="mt-2" method="post" action="{{ route('share-out.hand-over', $assignment) }}">@csrf
                        <input type="hidden" name="script" value="{{ $script->code }}">
                        <input type="hidden" name="part" value="third">
                        <p class="small mb-2">What {{ $third->marker->name }} has begun is kept and counts for nothing;
                            the other begins anew.</p>
                        <x-choice name="to" label="To" :options="collect($team)->mapWithKeys(
                            fn ($member) => [$member->user->public_id => $member->user->name])->all()" />
                        <x-field name="reason" label="Why" maxlength="300" />
                        <div class="flex justify-end"><button class="button">Hand it over</button></div></form></details>
            @endif
            <section class="panel" id="said"><h2 class="mb-1">What was said</h2>
                @forelse ($said as $one)
                    <p class="small quiet mt-2">{{ $one->author->name }}, {{ LocalTime::shown($one->created_at) }}</p>
                    <p class="whitespace-pre-line" dir="auto">{{ $one->body }}</p>
                @empty<p class="quiet small">Nothing yet. Students never see this; the examiner can.</p>@endforelse
                @if (! $script->result && auth()->user()->can('say', $script))
                    <form class="mt-3" method="post" action="{{ route('moderate.say', [$script, ...$show]) }}">@csrf
                        <x-field name="body" label="Write to the others" rows="2" />
                        <div class="flex justify-end"><button class="button">Send</button></div></form>
                @endif
            </section>
            @foreach ($script->proposals->where('state', 'replaced') as $old)
                <p class="quiet small mt-3">{{ $old->proposer->name }}
                had proposed {{ $old->shownMark() }}: {{ $old->reason }}</p>
            @endforeach
            @foreach ($undone as $old)
                <p class="quiet small mt-3">Until {{ LocalTime::shown($old->undone_at) }} it was settled
                    at {{ $old->shownMark() }}@if ($old->undone_reason !== ''). Opened again: {{ $old->undone_reason }}@endif</p>
            @endforeach
        </aside>
    </div>
</x-page>
