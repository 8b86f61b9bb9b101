{{-- How a discussion goes, in the form of an assignment. --}}
@php
    use YoungHarbor\Core\Discussion\Audience;
    $talk = $a?->discussion ?? YoungHarbor\Core\Discussion\Settings::usual();
    $fixed = $open && $written ? 'Fixed: students have written.' : null;
    $less = $open ? 'Less can be asked for, not more.' : null;
    $tick = fn (string $name, bool $now): bool => (bool) old($name, $errors->any() ? null : $now);
@endphp
<details class="fold" open>
    <summary><b>{{ __('discuss.title') }}</b> <span class="quiet small">{{ __('discuss.audience.'.$talk->audience->value) }}</span></summary>
    <x-choice name="discuss_audience" label="Who talks with whom" :locked="$fixed" :value="$talk->audience->value"
        :options="collect(Audience::cases())->mapWithKeys(fn ($one) => [$one->value => __('discuss.audience.'.$one->value)])->all()"
        hint="Groups are made under Collect once the assignment is open." />
    <div class="grid sm:grid-cols-3 gap-x-4">
        <x-field name="discuss_posts" label="Posts asked for" inputmode="numeric" :value="$talk->posts" :hint="$less ?? '0: none by number.'" />
        <x-field name="discuss_replies" label="Replies asked for" inputmode="numeric" :value="$talk->replies" :hint="$less" />
        <x-field name="discuss_words" label="Words of each, at least" inputmode="numeric" :value="$talk->words"
            :hint="$less ?? 'Shorter ones are read and do not count among those asked for.'" />
    </div>
    <x-choice name="discuss_names" label="Students see each other’s" :locked="$fixed !== null && ! $talk->names ? $fixed : null"
        :options="['1' => 'names', '0' => 'codes, also where a name stands in a post']" :value="$talk->names ? '1' : '0'"
        hint="Those who mark see codes and no times, until you reveal names." />
    <x-field name="discuss_edit_minutes" label="Posts can be changed for, minutes" inputmode="numeric" :value="$talk->editMinutes"
        hint="How they stood before is kept for staff. 0: not at all." />
    <label class="block py-1"><input type="checkbox" name="discuss_own_first" value="1" 
        @checked($tick('discuss_own_first', $talk->ownFirst))>
        In each topic, others’ posts show only after a post of one’s own</label>
    <label class="block py-1 mb-2"><input type="checkbox" name="discuss_goes_on" value="1" 
        @checked($tick('discuss_goes_on', $talk->goesOn))>
        Students may write on after the end <span class="hint">That is not marked.</span></label>
</details>
