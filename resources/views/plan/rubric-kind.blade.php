{{-- What stands across the levels for a criterion that is not marked by the rubric's own levels. --}}
@php use YoungHarbor\Core\Rubric\CriterionKind; @endphp
@if ($kind === CriterionKind::Scale)
    <div class="flex flex-wrap items-baseline gap-2 small">
        <label>from <input class="num w-20!" name="{{ $at }}[min]" value="{{ $draft->get("criteria.{$id}.min") }}"
            aria-label="Lowest points of criterion {{ $n }}" inputmode="decimal" data-col="1"></label>
        <label>to <input class="num w-20!" name="{{ $at }}[max]" value="{{ $draft->get("criteria.{$id}.max") }}"
            aria-label="Highest points of criterion {{ $n }}" inputmode="decimal"></label>
        <label>in steps of <input class="num w-20!" name="{{ $at }}[step]"
            value="{{ $draft->get("criteria.{$id}.step") }}" aria-label="Step of criterion {{ $n }}"
            inputmode="decimal"></label>
    </div>
@elseif ($kind === CriterionKind::Checklist)
    @php($items = YoungHarbor\Core\Rubric\Draft::rowsOf($criterion, 'items'))
    <ul>
        @foreach ($items as $item)
            @php($iid = $item['id'])
            <li class="step">
                <textarea class="small" rows="{{ $rows($draft->get("criteria.{$id}.items.{$iid}.title"), 90) }}"
                    name="{{ $at }}[items][{{ $iid }}][title]"
                    aria-label="Item {{ $loop->iteration }} of criterion {{ $n }}" placeholder="a step to be seen done"
                    data-col="1">{{ $draft->get("criteria.{$id}.items.{$iid}.title") }}</textarea>
                <textarea class="small quiet" rows="{{ $rows($draft->get("criteria.{$id}.items.{$iid}.reminder"), 60) }}"
                    name="{{ $at }}[items][{{ $iid }}][reminder]" placeholder="a reminder to whoever watches"
                    aria-label="Reminder beside item {{ $loop->iteration }} of criterion {{ $n }}">{{ $draft->get(
                    "criteria.{$id}.items.{$iid}.reminder") }}</textarea>
                <input class="num w-16! flex-none" name="{{ $at }}[items][{{ $iid }}][points]"
                    value="{{ $draft->get("criteria.{$id}.items.{$iid}.points") }}"
                    aria-label="Points of item {{ $loop->iteration }} of criterion {{ $n }}" inputmode="decimal">
                <span class="tools flex-none m-0!">
                    @unless ($loop->first)<button name="do" value="item-up:{{ $id }}:{{ $iid }}"
                        aria-label="Move item {{ $loop->iteration }} of criterion {{ $n }} up">up</button>@endunless
                    @if (count($items) > 1)<button name="do" value="remove-item:{{ $id }}:{{ $iid }}"
                        aria-label="Remove item {{ $loop->iteration }} of criterion {{ $n }}">remove</button>@endif
                </span>
            </li>
        @endforeach
    </ul>
    <button class="link small" name="do" value="add-item:{{ $id }}">+ item</button>
@elseif ($kind === CriterionKind::Comment)
    <p class="quiet small">Markers write a comment and choose nothing.</p>
@else
    @php($mine = $draft->levelsOf($criterion))
    <div class="own-levels">
        @foreach ($mine as $level)
            @php($lid = $level['id'])
            <div @class(['unused' => $draft->get("criteria.{$id}.unused.{$lid}") !== ''])>
                <div class="flex gap-1 items-start">
                    <input class="font-bold" name="{{ $at }}[levels][{{ $lid }}][title]"
                        value="{{ $draft->get("criteria.{$id}.levels.{$lid}.title") }}"
                        aria-label="Name of level {{ $loop->iteration }} of criterion {{ $n }}" placeholder="level">
                    <input class="num w-14! flex-none" name="{{ $at }}[levels][{{ $lid }}][points]"
                        value="{{ $draft->get("criteria.{$id}.levels.{$lid}.points") }}"
                        aria-label="Points of level {{ $loop->iteration }} of criterion {{ $n }}" placeholder="points">
                </div>
                @include('plan.rubric-cell',
                    ['place' => "criterion {$n}, own level {$loop->iteration}", 'col' => $loop->iteration])
                <div class="tools">
                    @unless ($loop->first)<button name="do" value="own-level-left:{{ $id }}:{{ $lid }}"
                        aria-label="Move own level {{ $loop->iteration }} of criterion {{ $n }} left">
                        left</button>@endunless
                    @if (count($mine) > 1)<button name="do" value="remove-own-level:{{ $id }}:{{ $lid }}"
                        aria-label="Remove own level {{ $loop->iteration }} of criterion {{ $n }}">remove</button>@endif
                </div>
            </div>
        @endforeach
        <div class="flex items-center grow-0!">
            <button class="link small whitespace-nowrap" name="do" value="add-own-level:{{ $id }}">+ level</button>
            </div>
    </div>
@endif
