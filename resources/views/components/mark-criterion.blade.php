{{-- How one criterion is marked, whatever its kind: the desk and the trial of a rubric both use it. --}}
@props(['criterion', 'set' => new YoungHarbor\Core\Rubric\CriterionMark, 'prefix' => '', 'weighting' => null])
@php
    use YoungHarbor\Core\Figures\Figure;
    use YoungHarbor\Core\Rubric\{ChecklistCriterion, CommentCriterion, LevelCriterion, MarkForm, RailStop,
        ScaleCriterion};
    $name = fn (string $field) => $prefix === '' ? $field
        : $prefix.'['.preg_replace('/\[.*/', '', $field).']'.(preg_match('/\[.*/', $field, $m) ? $m[0] : '');
    $id = $criterion->id();
    $stops = $criterion instanceof LevelCriterion ? RailStop::of($criterion) : [];
    $chosen = collect($stops)->first(fn ($stop) => $stop->holds($set));
    $thick = 'thick-'.max(1, min(4, (int) ceil((float) (string) $criterion->weight() / 12)));
    $ranged = $chosen && ! $chosen->isBetween() ? MarkForm::range($chosen->level) : '';
    $na = $set->notApplicable;
    $own = $set->reason !== null;
@endphp
<legend class="flex flex-wrap w-full items-baseline gap-x-2">
    <b>{{ $criterion->title() }}</b>@unless ($criterion->weight()
    ->isZero())<span class="quiet small">{{ Figure::plain($criterion->weight()) }} %</span>@endunless
    @if ($criterion->optional())<label class="small quiet whitespace-nowrap"><input type="checkbox"
        name="{{ $name('na') }}" value="1" @checked($na)> does not apply</label>@endif
    {{ $slot }}
    @unless ($criterion instanceof CommentCriterion)<span
        class="quiet small ml-auto whitespace-nowrap">of {{ Figure::plain(
        $criterion->max()) }}</span>@endunless</legend>
@if ($stops !== [])
    <div class="rail {{ $thick }} levels-{{ min(9, count($criterion->usable())) }}">
        @foreach ($stops as $stop)
            <label @class(['stop', 'between' => $stop->isBetween()]) title="{{ $stop->label() }}">
                <input type="radio" name="{{ $name('stop') }}" value="{{ $stop->key }}" @checked($stop->holds($set))
                    aria-label="{{ $stop->label() }}"
                    data-name="{{ $stop->isBetween() ? 'between '.$stop->level->title.' and '.$stop->above->title
                        : $stop->level->title }}." data-descriptor="{{ $stop->level->descriptor }}"
                        data-range="{{ $stop->isBetween() ? '' : MarkForm::range($stop->level) }}"
                        data-middle="{{ $stop->isBetween() || ! $stop->level->isRange() ? ''
                        : Figure::plain($stop->level->middle()) }}">
                <span class="tick" aria-hidden="true"></span>
                <svg class="pin" viewBox="0 0 18 21" aria-hidden="true"><path d="M2 19 V8 L9 2 L16 8 V19 Z" /></svg>
                <span class="points" aria-hidden="true">{{ $stop->isBetween() || ! $stop->level->isRange()
                    ? Figure::plain($stop->points) : str_replace(' to ', '–', MarkForm::range($stop->level)) }}</span>
                @unless ($stop->isBetween())<span class="name"
                    aria-hidden="true">{{ $stop->level->title }}</span>@endunless
            </label>
        @endforeach
    </div>
    <p class="peek" hidden aria-hidden="true"></p>
    <p @class(['descriptor', 'signal' => $chosen === null && ! $na && ! $own])>@if ($own)<b>{{ $set->points }}
    points, set by hand</b>@elseif ($chosen)<b>{{ $chosen->isBetween()
        ? 'between '.$chosen->level->title.' and '.$chosen->above->title : $chosen->level->title }}.</b>
        {{ $chosen->level->descriptor }}@else{{ $na ? 'does not apply' : 'not yet set' }}@endif</p>
    @if (collect($stops)->contains(fn ($stop) => ! $stop->isBetween() && $stop->level->isRange()))
        <label class="small quiet range-points" @if ($ranged === '') hidden @endif>points, <span>{{ $ranged }}</span>
        <input class="input inline! w-20! min-h-0! num" name="{{ $name('points') }}"
            value="{{ $ranged === '' ? '' : ($set->points ?? '') }}" inputmode="decimal"
            aria-label="Points on {{ $criterion->title() }}">
            <span class="middle" @unless ($ranged !== ''
                && ($set->points ?? '') === Figure::plain($chosen->level->middle())) hidden
                @endunless>the middle</span></label>
    @endif
@elseif ($criterion instanceof ScaleCriterion)
    <label class="small quiet block mt-1">{{ Figure::plain($criterion->min) }}
    to {{ Figure::plain($criterion->highest) }} in steps of {{ Figure::plain($criterion->step) }}
        <input class="input inline! w-24! min-h-0! num ml-1" type="number" min="{{ Figure::plain($criterion->min) }}"
            max="{{ Figure::plain($criterion->highest) }}" step="{{ Figure::plain($criterion->step) }}"
            name="{{ $name('points') }}" value="{{ $set->points }}"
            aria-label="Points on {{ $criterion->title() }}"></label>
    @if ($criterion->purpose() !== '')<p class="descriptor">{{ $criterion->purpose() }}</p>@endif
@elseif ($criterion instanceof ChecklistCriterion)
    <ul class="mt-1">
        @foreach ($criterion->items as $item)
            <li class="flex items-baseline gap-2 small py-0.5">
                <label class="flex items-baseline gap-2 min-w-0 grow"><input class="flex-none" type="checkbox"
                    name="{{ $name("done[{$item->id}]") }}" value="1"
                    @checked(in_array($item->id, $set->done ?? [], true))><span>{{ $item->title }}
                    @if ($item->reminder !== '')<span class="quiet block">{{ $item->reminder }}</span>@endif</span></label>
                <span class="quiet whitespace-nowrap">of {{ Figure::plain($item->points) }}</span>
                <label class="quiet whitespace-nowrap">partly
                <input class="input inline! w-14! min-h-0! num" name="{{ $name("partly[{$item->id}]") }}"
                    value="{{ $set->partly[$item->id] ?? '' }}" inputmode="decimal"
                    aria-label="Points for “{{ $item->title }}” when partly done"></label>
            </li>
        @endforeach
    </ul>
    <label class="small quiet"><input type="checkbox" name="{{ $name('none') }}" value="1"
        @checked($set->done === [] && $set->partly === [])> none of it was done</label>
@elseif ($criterion->purpose() !== '')
    <p class="descriptor">{{ $criterion->purpose() }}</p>
@endif
@unless ($criterion instanceof CommentCriterion)
    <details class="own small" @if ($own) open @endif>
        <summary class="quiet">points by hand</summary>
        <div class="flex gap-2 items-baseline mt-1">
            <label class="whitespace-nowrap"><span
            class="sr-only">Points on {{ $criterion->title() }}, set by hand</span><input
            class="input inline! w-16! min-h-0! num" name="{{ $name('own_points') }}"
            value="{{ $own ? $set->points : '' }}" inputmode="decimal">
            of {{ Figure::plain($criterion->max()) }}</label>
            <label class="grow"><span class="sr-only">Reason for points on {{ $criterion->title() }}
            set by hand</span><input class="input min-h-0!" name="{{ $name('own_reason') }}" value="{{ $set->reason }}"
                placeholder="reason, needed" maxlength="500"></label></div>
    </details>
@endunless
