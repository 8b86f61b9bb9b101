{{-- How people are observed, in the form of an assignment. --}}
@php($watch = $a?->observing ?? YoungHarbor\Core\Observing\Settings::usual())
<p class="notice mb-3">{{ __('observe.names') }}</p>
<details class="fold" open>
    <summary><b>{{ __('observe.title') }}</b></summary>
    <x-choice name="handin_by" label="Observed" :locked="$came"
        :options="['each' => 'each student alone', 'group' => 'groups, with one mark for each']"
        :value="$a?->handin_by->value ?? 'each'" hint="Groups are made under Collect once the assignment is open." />
    <div class="grid sm:grid-cols-2 gap-x-4">
        <x-field name="observe_minutes" :label="__('observe.plan.minutes')" inputmode="numeric" :value="$watch->minutes"
            :hint="__('observe.plan.minutes_hint')" />
        <x-field name="observe_gap" :label="__('observe.plan.gap')" inputmode="numeric" :value="$watch->gap" />
    </div>
    <label class="block py-1 mb-2"><input type="checkbox" name="observe_swaps" value="1"
        @checked((bool) old('observe_swaps', $errors->any() ? null : $watch->swaps))> {{ __('observe.plan.swaps') }}</label>
    <label class="block py-1 mb-2"><input type="checkbox" name="observe_slides" value="1"
        @checked((bool) old('observe_slides', $errors->any() ? null : $watch->slides))> {{ __('observe.plan.slides') }}</label>
    <x-field name="observe_rules" :label="__('observe.plan.rules')" rows="4" :value="$watch->rules"
        :hint="__('observe.plan.rules_hint')" />
</details>
