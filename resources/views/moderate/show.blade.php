@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\LevelCriterion;
    $sides = array_filter(['First mark' => $first, 'Second mark, blind' => $second]);
    $settled = $script->settlement;
@endphp
<x-page :title="'Settle: '.$script->code" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::Moderate" slim /></x-slot:head>
    <div class="flex flex-wrap items-baseline gap-x-5 mb-4">
        <h2 class="code">{{ $script->code }}</h2>
        @if ($settled)<span class="kelp">agreed {{ $settled->shownMark() }}</span>
        @elseif ($why)<span class="signal">to settle: {{ $why }}</span>
        @else<span class="quiet">waiting for {{ $first?->isDone() ? 'the second' : 'the first' }} mark</span>@endif
        <a class="ml-auto" href="{{ route('moderate.index', $assignment) }}">all scripts</a>
    </div>
    <div class="split">
        <div>
            <div class="sides mb-5">
                @foreach ($sides as $label => $mark)
                    <div class="panel"><span class="quiet small">{{ $label }}</span><br><b
                        class="text-2xl">{{ $mark->shownTotal() ?? 'not done' }}</b>@if ($mark->isDone()
                        && ! $mark->score()->exactPercent()->isEqualTo($mark->exactTotal()))
                        <span class="quiet small">from {{ Figure::shown($mark->score()
                            ->exactPercent()) }}</span>@endif<br><span
                            class="quiet small">{{ $mark->marker->name }}{{ $mine && $mark->is($mine) ? ', that is you'
                            : '' }}</span></div>
                @endforeach
            </div>
            <details class="fold mb-5">
                <summary><b>The script</b>
                <span class="quiet small">as markers read it, {{ number_format($read->words) }} words</span></summary>
                @foreach ($read->files as $file)@if ($file->link)<p class="mt-2"><a href="{{ $file->link }}"
                    target="_blank" rel="noreferrer noopener">{{ $file->link }}</a></p>@endif @endforeach
                <article class="text sheet px-6 py-4 mt-2 max-h-[70vh] overflow-y-auto" tabindex="0"
                    aria-label="The script" dir="auto">{!! $read->html !!}</article>
                @if ($mine)<p class="mt-2">
                    <a href="{{ route('mark.desk', $mine) }}">With your comments, at your desk</a></p>@endif
            </details>
            @foreach ($rubric?->criteria ?? [] as $criterion)
                <section class="mb-5">
                    <h3 class="mb-1">{{ $criterion->title() }}
                    @unless ($criterion->kind() === YoungHarbor\Core\Rubric\CriterionKind::Comment)<span
                        class="quiet small font-normal">{{ $rubric->weighting === YoungHarbor\Core\Rubric\Weighting::Points
                        ? Figure::plain($criterion->max()).' points'
                        : Figure::plain($criterion->weight()).' %' }}</span>@endunless</h3>
                    <div class="sides">
                        @foreach ($sides as $mark)
                            @php
                                $set = $mark->isDone() ? $mark->choices->on($criterion->id())
                                    : new YoungHarbor\Core\Rubric\CriterionMark;
                                $points = $set->isEmpty() || $set->notApplicable ? null : $criterion->points($set);
                                $level = $points && $criterion instanceof LevelCriterion ? $criterion->reached($points)
                                    : null;
                                $words = $set->isEmpty() ? ''
                                    : YoungHarbor\Core\Rubric\MarkForm::inWords($criterion, $set);
                            @endphp
                            <div class="sheet px-4 py-3">
                                @if ($criterion->kind() !== YoungHarbor\Core\Rubric\CriterionKind::Comment)<b>{{ $points
                                    ? Figure::plain($points) : '–' }}</b>
                                    <span class="quiet">of {{ Figure::plain($criterion->max()) }}{{ $words === '' ? ''
                                        : ', '.$words }}</span>
                                @elseif ($set->comment === '')<span class="quiet">nothing written</span>@endif
                                @if ($level)<p class="small quiet">{{ $level->descriptor }}</p>@endif
                                @if ($set->comment !== '')<p
                                    class="mt-1 whitespace-pre-line">{{ $set->comment }}</p>@endif
                            </div>
                        @endforeach
                    </div>
                </section>
            @endforeach
            <section>
                <h3 class="mb-1">In general</h3>
                <div class="sides">
                    @foreach ($sides as $mark)<div class="sheet px-4 py-3 whitespace-pre-line">{{ $mark->isDone()
                        && $mark->general_comment !== '' ? $mark->general_comment : '–' }}</div>@endforeach
                </div>
            </section>
            @if (collect($sides)->contains(fn ($mark) => $mark->isDone() && $mark->comments->isNotEmpty()))
                <section class="mt-5">
                    <h3 class="mb-1">On the script</h3>
                    <div class="sides">
                        @foreach ($sides as $mark)
                            <ol class="sheet px-4 py-2">@forelse ($mark->isDone() ? $mark->comments : [] as $comment)
                                <li class="py-1.5 small">
                                    <b>{{ __('mark.comment_kind.'.$comment->kind->value) }}</b>@if ($comment->criterion)
                                    <span class="quiet">· {{ $rubric?->criterion(
                                        $comment->criterion)?->title() }}</span>@endif
                                    <span class="quiet block font-text"
                                        dir="auto">{{ $comment->isOnPage() ? "page {$comment->anchor['page']}"
                                        : '“'.Str::limit(Str::squish($comment->anchor['exact']),
                                        110).'”' }}</span><span class="whitespace-pre-line"
                                        dir="auto">{{ $comment->body }}</span></li>
                            @empty<li class="quiet">none</li>@endforelse</ol>
                        @endforeach
                    </div>
                </section>
            @endif
        </div>
        <aside>
            @foreach ($lines as $line)
                @if ($line->event === App\Logbook\LogEvent::MarkHandedOver)
                    <p class="notice small">
                        {{ ucfirst($reading->what($line)) }}, {{ App\Wording\LocalTime::shown(
                        $line->when()) }}: from {{ $reading->person($line, 'from') }}
                        to {{ $reading->person($line, 'to') }}.@can('viewAllMarks', $assignment)
                        {{ $reading->said($line, 'reason') }}@endcan</p>
                @else
                    <p class="notice small">
                        The name behind this script was looked at before release: {{ $reading->who(
                        $line) }}, {{ App\Wording\LocalTime::shown($line->when()) }}.@can('viewAllMarks', $assignment)
                        Reason given: “{{ $reading->said($line, 'reason') }}”@endcan</p>
                @endif
            @endforeach
            @if ($settled)
                <div class="panel"><h2 class="mb-1">How {{ $settled->shownMark() }}
                came about</h2><x-working :lines="$settled->working" /></div>
            @else
                @if ($open)
                    <div class="panel mb-4">
                        <span class="quiet small">{{ $open->proposer->name }}
                        proposes, {{ App\Wording\LocalTime::shown($open->created_at) }}</span><br>
                        <b class="text-2xl">{{ rtrim(rtrim($open->mark, '0'), '.') }}</b>
                        <p class="mt-1 whitespace-pre-line">{{ $open->reason }}</p>
                        @if ($mine && $open->proposed_by !== $mine->marker_id)
                            <form class="flex justify-end mt-3" method="post"
                                action="{{ route('moderate.accept', $script) }}">@csrf<input type="hidden"
                                name="proposal" value="{{ $open->id }}"><button class="button primary">
                                Accept {{ rtrim(rtrim($open->mark, '0'), '.') }}</button></form>
                        @elseif ($mine)<p class="quiet small mt-2">The other marker has to accept it.</p>@endif
                    </div>
                @endif
                @if ($mine && $why)
                    <form class="panel" method="post" action="{{ route('moderate.propose', $script) }}">
                        @csrf
                        <h2 class="mb-2">{{ $open ? 'Propose another' : 'Propose an agreed mark' }}</h2>
                        <x-field name="mark" label="Mark" inputmode="decimal" hint="0 to 100, one decimal at most" />
                        <x-field name="reason" label="Why" rows="5"
                            hint="The examiner and the student’s working show this." />
                        <div class="flex justify-end">
                            <button @class(['button', 'primary' => ! $open])>Propose it</button></div>
                    </form>
                @elseif ($why)
                    <p class="quiet">The two markers settle this script: one proposes a mark with a reason, the other accepts it.
                    </p>
                @endif
                @foreach ($script->proposals->where('state', 'replaced') as $old)
                    <p class="quiet small mt-3">{{ $old->proposer->name }}
                    had proposed {{ rtrim(rtrim($old->mark, '0'), '.') }}: {{ $old->reason }}</p>
                @endforeach
            @endif
        </aside>
    </div>
</x-page>
