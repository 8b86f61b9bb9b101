@php
    use App\Http\Controllers\Plan\RubricController;
    use YoungHarbor\Core\Rubric\Draft;
    use YoungHarbor\Core\Rubric\CriterionKind;
    $criteria = $draft->criteria();
    $levels = $draft->levels();
    $inPercent = $draft->weighting() === YoungHarbor\Core\Rubric\Weighting::Percent;
    $kinds = ['levels' => 'levels', 'scale' => 'a scale of numbers', 'checklist' => 'a checklist',
        'comment' => 'comment only'];
    $rows = fn (string $text, int $wide) => max(1,
        min(12, (int) ceil(mb_strlen($text) / $wide) + substr_count($text, "\n")));
    $tall = fn ($weight) => 'tall-'.max(1, min(5, (int) ceil((float) (string) $weight / 10)));
@endphp
<form id="sheet" class="sheet-grid" method="post" action="{{ route('rubrics.update', $rubric) }}"
    data-shape="{{ RubricController::shape($draft) }}"
    hx-put="{{ route('rubrics.update', $rubric) }}" hx-trigger="save, submit" hx-target="#sheet-side"
        hx-swap="outerHTML" hx-sync="this:queue all">
    @csrf @method('put')
    <input type="hidden" name="cells" value="{{ $cells }}">
    <button class="sr-only" tabindex="-1" aria-hidden="true">Save</button>
    <div class="min-w-0">
        <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1 mb-2">
            <label class="sr-only" for="rubric-title">Title</label>
            <input id="rubric-title" class="input max-w-sm font-bold" name="title" value="{{ $draft->get('title') }}">
            <label class="small quiet">The mark is made
                <select name="weighting" class="bare" data-reshapes>
                    <option value="percent" @selected($inPercent)>by weights in percent</option>
                    <option value="points" @selected(! $inPercent)>by points alone</option>
                </select></label>
            <span class="chips small ml-auto" role="group" aria-label="Cells show">
                <span class="quiet">cells show</span>
                @foreach (RubricController::CELLS as $key => $words)<button class="link" name="do"
                    value="cells:{{ $key }}"
                    aria-pressed="{{ $cells === $key ? 'true' : 'false' }}">{{ $words }}</button>@endforeach
            </span>
        </div>
        <div class="sheet scroll">
            <table class="rubric @if (count($levels) > 5) wide @endif">
                <thead>
                    <tr>
                        <th class="crit quiet" scope="col">Criterion</th>
                        @foreach ($levels as $level)
                            @php $at = "levels[{$level['id']}]"; @endphp
                            <th scope="col" data-level="{{ $level['id'] }}">
                                <div class="flex gap-1 items-start"><span class="grip" draggable="true"
                                    data-level="{{ $level['id'] }}" title="drag to another place"
                                    aria-hidden="true"></span>
                                    <input class="font-bold" name="{{ $at }}[title]"
                                        value="{{ $draft->get("levels.{$level['id']}.title") }}"
                                        aria-label="Name of level {{ $loop->iteration }}" placeholder="level"
                                        data-col="{{ $loop->iteration }}">
                                    <input class="num {{ strlen(Draft::pointsText($level)) > 4 ? 'w-16!'
                                        : 'w-11!' }} flex-none" name="{{ $at }}[points]"
                                        value="{{ Draft::pointsText($level) }}"
                                        aria-label="Points of level {{ $loop->iteration }}, a number or a range"
                                        title="points: 7, or a range such as 5–7" placeholder="points">
                                </div>
                                <div class="tools">
                                    @unless ($loop->first)<button name="do" value="level-left:{{ $level['id'] }}"
                                        aria-label="Move level {{ $loop->iteration }} left">left</button>@endunless
                                    @unless ($loop->last)<button name="do" value="level-right:{{ $level['id'] }}"
                                        aria-label="Move level {{ $loop->iteration }} right">right</button>@endunless
                                    <button name="do" value="duplicate-level:{{ $level['id'] }}"
                                        aria-label="Duplicate level {{ $loop->iteration }}">duplicate</button>
                                    @if (count($levels) > 1)<button name="do" value="remove-level:{{ $level['id'] }}"
                                        aria-label="Remove level {{ $loop->iteration }}">remove</button>@endif
                                </div>
                            </th>
                        @endforeach
                        <th class="weight num quiet" scope="col">{{ $inPercent ? 'Weight %' : 'Counts' }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($criteria as $criterion)
                        @php
                            $id = $criterion['id'];
                            $n = $loop->iteration;
                            $at = "criteria[{$id}]";
                            $kind = Draft::kindOf($criterion);
                            $own = $kind === CriterionKind::Levels && isset($criterion['levels']);
                        @endphp
                        <tr class="{{ $inPercent ? $tall(Draft::weight($criterion)) : 'tall-2' }}"
                            data-criterion="{{ $id }}">
                            <td>
                                <div class="flex gap-1"><span class="grip" draggable="true"
                                    title="drag to another place" aria-hidden="true"></span>
                                <textarea class="font-bold" rows="1" name="{{ $at }}[title]"
                                    aria-label="Criterion {{ $n }}" placeholder="criterion" data-col="0"
                                    data-single>{{ $draft->get("criteria.{$id}.title") }}</textarea></div>
                                <textarea class="small quiet" rows="1" name="{{ $at }}[purpose]"
                                    aria-label="What criterion {{ $n }} looks for" placeholder="what it looks for"
                                    data-col="0">{{ $draft->get("criteria.{$id}.purpose") }}</textarea>
                                <div class="row-tools">
                                    <span class="quiet kind">
                                        <select class="bare" name="{{ $at }}[kind]"
                                            aria-label="Criterion {{ $n }} is marked by" data-reshapes>
                                            @foreach ($kinds as $key => $words)<option value="{{ $key }}"
                                            @selected($kind->value === $key)>{{ $words }}</option>@endforeach</select>
                                        @if ($kind !== CriterionKind::Comment)<label class="whitespace-nowrap"><input
                                            type="hidden" name="{{ $at }}[optional]" value=""><input type="checkbox"
                                            name="{{ $at }}[optional]" value="1"
                                            @checked($draft->get("criteria.{$id}.optional") !== '')
                                            aria-label="Criterion {{ $n }} is optional"> optional</label>@endif
                                    </span>
                                    @unless ($loop->first)<button name="do" value="criterion-up:{{ $id }}"
                                        aria-label="Move criterion {{ $n }} up">up</button>@endunless
                                    @unless ($loop->last)<button name="do" value="criterion-down:{{ $id }}"
                                        aria-label="Move criterion {{ $n }} down">down</button>@endunless
                                    <button name="do" value="duplicate-criterion:{{ $id }}"
                                        aria-label="Duplicate criterion {{ $n }}">duplicate</button>
                                    @if (count($criteria) > 1)<button name="do" value="remove-criterion:{{ $id }}"
                                        aria-label="Remove criterion {{ $n }}">remove</button>@endif
                                    @if ($own)<button name="do" value="shared-levels:{{ $id }}"
                                        aria-label="Criterion {{ $n }} uses the rubric's levels">
                                        the rubric’s levels</button>
                                    @elseif ($kind === CriterionKind::Levels)<button name="do"
                                        value="own-levels:{{ $id }}"
                                        aria-label="Criterion {{ $n }}: own levels">own levels</button>@endif
                                </div>
                            </td>
                            @if ($kind === CriterionKind::Levels && ! $own)
                                @foreach ($levels as $level)
                                    <td @class(['unused' => $draft->get(
                                        "criteria.{$id}.unused.{$level['id']}") !== ''])>
                                        @include('plan.rubric-cell',
                                        ['place' => "criterion {$n}, level {$loop->iteration}",
                                        'col' => $loop->iteration])</td>
                                @endforeach
                            @else
                                <td colspan="{{ max(1, count($levels)) }}">@include('plan.rubric-kind')</td>
                            @endif
                            <td>
                                @if ($kind === CriterionKind::Comment)<span class="quiet small">no mark</span>
                                @elseif ($inPercent)
                                    <input class="num font-bold" name="{{ $at }}[weight]"
                                        value="{{ $draft->get("criteria.{$id}.weight") }}"
                                        aria-label="Weight of criterion {{ $n }} in percent" inputmode="decimal"
                                        data-col="99">
                                    @php $pinned = $draft->get("criteria.{$id}.pinned") !== ''; @endphp
                                    <label class="pin-weight small quiet {{ $pinned ? 'is-on'
                                        : '' }}"><input type="hidden" name="{{ $at }}[pinned]"
                                        value=""><input type="checkbox" name="{{ $at }}[pinned]" value="1"
                                        @checked($pinned) aria-label="Keep the weight of criterion {{ $n }} when the rest is spread">
                                        keep this weight</label>
                                @else<span class="num block" data-counts="{{ $id }}">{{ $counts[$id] ?? '' }}</span>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <div class="flex flex-wrap gap-5 mt-2">
            <button class="link" name="do" value="add-criterion">+ criterion</button>
            <button class="link" name="do" value="add-level">+ level</button>
            <button class="link" type="button" data-opens="paste">Paste a table</button>
            <button class="link" type="button" data-opens="keys"><kbd>?</kbd> keys</button>
        </div>
    </div>
    @include('plan.rubric-side', ['fresh' => false])
    <input type="hidden" name="whole" value="1">
</form>
@if (request()->header('HX-Request'))
    @include('plan.rubric-fresh')
@endif
