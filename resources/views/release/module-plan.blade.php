@php
    use App\Http\Requests\Release\ModulePlanRequest;
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Figures\Figure;
    $given = fn (string $key, mixed $else) => is_string($old = old($key, (string) $else)) ? $old : '';
    $titles = $assignments->pluck('title', 'public_id');
@endphp
<x-page :title="__('module-mark.title').': '.$module->code" at="grade-book">
    <x-slot:head><div class="heading"><h1>{{ __('module-mark.title') }}</h1><a class="of"
        href="{{ route('grade-book.show', $module) }}">Grade book of {{ $module->fullTitle() }}</a></div></x-slot:head>
    @if ($assignments->isEmpty())
        <x-empty title="No assignment yet">A module mark is made of the marks of assignments: plan one first.</x-empty>
    @else
    <form method="post" action="{{ route('module-plan.update', $module) }}">@csrf @method('put')
        <div class="split"><div class="min-w-0">
            <div class="sheet scroll mb-3"><table class="table stacked">
                <thead><tr><th>Assignment</th><th>In the module mark it</th><th>Weighs, %</th><th>Must reach</th>
                    <th>A resit counts at most</th></tr></thead>
                <tbody>@foreach ($assignments as $one)
                    @php
                        $id = $one->public_id; $row = $rows[$id] ?? [];
                        $as = $given("rows.{$id}.as", $row['as'] ?? 'none');
                    @endphp
                    <tr><td><b>{{ $one->title }}</b><br><span class="quiet small">due {{ LocalTime::shown($one->due_at) }}</span></td>
                        <td><select class="input" name="rows[{{ $id }}][as]" aria-label="{{ $one->title }}: in the module mark it">
                            <option value="none" @selected($as === 'none')>{{ __('module-mark.as.none') }}</option>
                            <option value="own" @selected($as === 'own')>{{ __('module-mark.as.own') }}</option>
                            @foreach (ModulePlanRequest::LISTS as $list)<option value="list-{{ $list }}"
                                @selected($as === "list-{$list}")>{{ __('module-mark.as.list', ['list' => strtoupper($list)]) }}</option>@endforeach
                            @foreach ($titles->except([$id]) as $other => $title)<option value="resit:{{ $other }}"
                                @selected($as === "resit:{$other}")>{{ __('module-mark.as.resit', ['of' => $title]) }}</option>@endforeach
                            </select></td>
                        @foreach (['weight' => 'weighs, per cent', 'must_pass' => 'must reach', 'cap' => 'counts at most as a resit'] as $key => $label)
                        <td data-label="{{ ucfirst($label) }}"><input class="input w-20!" name="rows[{{ $id }}][{{ $key }}]" inputmode="decimal"
                            aria-label="{{ $one->title }} {{ $label }}" value="{{ $given("rows.{$id}.{$key}", $row[$key] ?? '') }}"></td>
                        @endforeach</tr>
                @endforeach</tbody></table></div>
            <p class="hint mb-5 max-w-[46rem]">Weights total exactly 100. A weight of 0 is for what must be passed and does not count.
                Marks are those released; what is not there yet counts as 0 so far. Whoever is exempt from something has the
                rest weigh more.</p>
            <details class="fold" @if ($lists !== [] || old('lists')) open @endif>
                <summary><b>Lists</b> <span class="quiet">of which the best count</span></summary>
                <div class="scroll"><table class="table stacked"><thead><tr><th>List</th><th>Called</th><th>Best</th>
                    <th>Weighs, %</th><th>Must reach</th></tr></thead>
                <tbody>@foreach (ModulePlanRequest::LISTS as $list)
                    <tr><td><b>{{ strtoupper($list) }}</b></td>
                        @foreach (['title' => ['called', 'w-48!'], 'best' => ['how many of the best count', 'w-20!'],
                            'weight' => ['weighs, per cent', 'w-20!'], 'must_pass' => ['must reach', 'w-20!']] as $key => [$label, $width])
                        <td data-label="{{ ucfirst($label) }}"><input class="input {{ $width }}" name="lists[{{ $list }}][{{ $key }}]"
                            @if ($key !== 'title') inputmode="decimal" @endif maxlength="100"
                            aria-label="List {{ strtoupper($list) }} {{ $label }}"
                            value="{{ $given("lists.{$list}.{$key}", $lists[$list][$key] ?? '') }}"></td>@endforeach</tr>
                @endforeach</tbody></table></div></details>
        </div>
        <aside><div class="panel">
            <x-field name="pass" label="The module is passed from" inputmode="decimal" :value="Figure::plain($plan->pass)" />
            <x-choice name="decimals" label="Rounded once, to" :options="[0 => 'whole marks', 1 => '1 decimal', 2 => '2 decimals']"
                :value="$plan->decimals" />
            <x-choice name="bands" label="Grade bands" :options="$scales" :value="$scale" />
            <x-field name="borderline" label="Borderline from so many marks below a boundary" inputmode="decimal"
                :value="Figure::plain($plan->borderline)" hint="They are listed for the board of examiners. 0: none is." />
            @error('plan')<div class="error">@foreach ($errors->get('plan') as $message)<p>{{ $message }}</p>@endforeach</div>@enderror
            <div class="flex justify-end mt-3"><button class="button primary">Save</button></div></div></aside></div>
    </form>
    @endif
</x-page>
