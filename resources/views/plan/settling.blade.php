@php
    use YoungHarbor\Core\Marking\Disagreement;
    use YoungHarbor\Core\Marking\Rules\RuleName;
    use YoungHarbor\Core\Marking\SecondMarks;
    use YoungHarbor\Core\Marking\SecondView;
    $ticked = fn (string $name, bool $now): bool => (bool) old($name, $errors->any() ? null : $now);
    $sampling = ['sample_share', 'sample_least', 'sample_near', 'sample_root', 'sample_fails', 'sample_top'];
@endphp
<details class="fold" id="settling" {{ $fold('formative', 'second_marking', 'second_view', 'tolerance', 'settle_rule',
    'third_rule', 'disagreement', 'settle_days', 'pass_mark', 'bands', ...$sampling) }}>
    <summary><b>Second marks, and how marks settle</b>
        <span class="quiet small">{{ $inWords['settle'] }}</span></summary>
    <div @unless ($marked) hx-get="{{ route('plan.forecast', $module) }}" hx-trigger="change"
        hx-include="{{ implode(', ',
            array_map(fn ($name) => "[name={$name}]", ['formative', 'second_marking', 'second_view',
        'bands', ...$sampling])) }}" hx-target="#forecast" @endunless>
        <div class="grid sm:grid-cols-2 gap-x-4">
            <x-choice name="formative" :locked="$marked" label="Students get"
                :options="['0' => 'a mark with feedback', '1' => 'feedback without a mark']"
                :value="(int) $feedbackOnly" />
            <x-choice name="second_marking" :locked="$marked" label="Marked a second time"
                :options="$words('second_choice', SecondMarks::cases())" :value="$scheme->second->value" />
            <x-choice name="second_view" :locked="$marked" label="The second marker sees"
                :options="$words('view_choice', SecondView::cases())" :value="$scheme->view->value"
                hint="Only marks made without seeing the other show whether people mark alike." />
        </div>
        <p class="notice small" id="forecast">{{ $forecast }}</p>
        <fieldset class="mb-3"><legend class="label">The sample, where one is marked twice</legend>
            <div class="grid sm:grid-cols-3 gap-x-4">
                <div class="mb-3">
                    <label class="block py-1"><input type="checkbox" name="sample_fails" value="1"
                        @checked($ticked('sample_fails', $sample->fails)) @disabled($marked !== null)>
                        Every fail</label>
                    <label class="block py-1"><input type="checkbox" name="sample_top" value="1"
                        @checked($ticked('sample_top', $sample->top)) @disabled($marked !== null)>
                        Every script in the top band</label>
                    @if ($marked !== null)
                        @foreach (['sample_fails' => $sample->fails, 'sample_top' => $sample->top,
                            'sample_root' => $sample->root] as $name => $is)@if ($is)
                            <input type="hidden" name="{{ $name }}" value="1">@endif @endforeach
                    @endif
                </div>
                <x-field name="sample_near" :locked="$marked" label="Within so many marks of a boundary"
                    inputmode="decimal" :value="$sample->near === null ? '' : $plain($sample->near)"
                    hint="Empty: not for that." />
                <div></div>
                <x-field name="sample_share" :locked="$marked" label="Drawn from the rest, percent of all"
                    inputmode="decimal" :value="$plain($sample->share->multipliedBy(100))" />
                <x-field name="sample_least" :locked="$marked" label="Drawn at least, scripts" inputmode="numeric"
                    :value="$sample->least" />
                <label class="block py-1 self-center"><input type="checkbox" name="sample_root" value="1"
                    @checked($ticked('sample_root', $sample->root)) @disabled($marked !== null)>
                    At least the square root of all scripts</label>
            </div>
        </fieldset>
    </div>
    <div class="grid sm:grid-cols-2 gap-x-4">
        <x-field name="tolerance" :locked="$marked" label="Tolerance" inputmode="decimal"
            :value="$plain($scheme->tolerance)" hint="Marks no further apart than this settle by the rule." />
        <x-choice name="settle_rule" :locked="$marked" label="Two marks within it settle to"
            :options="$words('rule_choice', RuleName::ofTwo())" :value="$scheme->rule->value" />
        <x-choice name="disagreement" :locked="$marked" label="When two markers do not agree in time"
            :options="$words('disagreement_choice', Disagreement::cases())" :value="$scheme->disagreement->value" />
        <x-field name="settle_days" :locked="$marked" label="In time means within days" inputmode="numeric"
            :value="$scheme->days" hint="Counted from when both marks are done." />
        <x-choice name="third_rule" :locked="$marked" label="Once there is a third mark"
            :options="$words('rule_choice', RuleName::ofThree())" :value="$scheme->thirdRule->value" />
        <x-field name="pass_mark" :locked="$marked" label="Pass line" inputmode="decimal"
            :value="$plain($scheme->passMark)"
            hint="Nothing settles by itself across it. It is held against the markers’ totals, before lateness and length come off." />
        @php
            $signatures = $errors->any() ? (array) old('signatures', [])
                : array_map(fn ($one) => $one->value, $a?->release->signatures ?? []);
        @endphp
        <fieldset class="mb-3"><legend class="label">Results wait for the signature of</legend>
            @foreach (YoungHarbor\Core\Release\Signature::cases() as $one)<label class="block py-1"><input
                type="checkbox" name="signatures[]" value="{{ $one->value }}" @checked(in_array($one->value,
                $signatures, true))> {{ __("plan.signed_by.{$one->value}") }}</label>@endforeach
            <p class="hint">On a sample of scripts that you send them. Neither ticked: no signature is waited for.</p>
        </fieldset>
        <x-choice name="bands" :locked="$marked" label="Grade bands" :options="$bandOptions" :value="$bandKey" />
        <p class="hint self-center">
            <a href="{{ route('bands.index', $module) }}">The bands, and how a mark finds its band</a></p>
    </div>
</details>
<details class="fold" id="learning"
    {{ $fold('reflection_prompts', 'reflection_words', 'reflection_days', 'reflection_read',
    'mark_after', 'marks_shared', 'review_days', 'answer_days', 'absent') }}>
        <summary><b>After release</b> <span class="quiet">{{ __('plan.after_release') }}</span></summary>
    @php($r = $a?->release->reflection)
    <div class="grid sm:grid-cols-2 gap-x-6">
        <x-choice name="mark_after" label="The mark shows"
            :options="['' => 'with the feedback', 'opened' => 'after the feedback was opened',
            'reflected' => 'after the reflection was written']" :value="$r?->markAfter?->value ?? ''"
            hint="It shows by itself once the days below are over." />
        <x-field name="reflection_days" label="Days for that, and for the reflection" inputmode="numeric"
            :value="$r->days ?? 7" />
        <div class="sm:col-span-2">
            <x-field name="reflection_prompts" label="Reflection: what students are asked to write about their feedback"
            rows="3" :value="implode("\n", $r->prompts ?? [])"
            hint="A line for each question, up to five; each is answered on its own. Empty: none is asked for." /></div>
        <x-field name="reflection_words" label="Words at least, for each" inputmode="numeric" :value="$r->words ?? 0" />
        <x-choice name="reflection_read" label="Who reads it"
            :options="['markers' => 'their markers, without names, and coordinators',
            'coordinators' => 'coordinators alone']" :value="($r->markersRead ?? true) ? 'markers' : 'coordinators'" />
        <x-field name="review_days" label="Students may ask for a review of the mark, days after release"
            inputmode="numeric"
            :value="$a?->release->reviewDays ?? 0" hint="0: not here" />
        <x-field name="answer_days" label="Days to answer it" inputmode="numeric"
            :value="$a?->release->answerDays ?? 15" />
        <x-choice name="marks_shared" label="How all marks lie"
            :options="['0' => 'students see their own mark alone', '1' => 'students see how many are in each band']"
            :value="($a?->release->marksShared ?? false) ? '1' : '0'"
            hint="Never of fewer than five results." />
        <x-choice name="absent" label="Someone who hands in nothing gets" :options="['' => __('plan.absent.')]
            + collect(YoungHarbor\Core\Release\AbsentGet::cases())->mapWithKeys(fn ($one) => [$one->value => __(
            "plan.absent.{$one->value}")])->all()" :value="$a?->release->absent?->value ?? ''"
            hint="Never by itself: a coordinator takes that step under Release." />
    </div>
</details>
