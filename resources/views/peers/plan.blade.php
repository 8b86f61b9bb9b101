@php
    use App\Wording\LocalTime;
    use YoungHarbor\Core\Peers\{Method, NamesShown, ReviewedAt, ReviewingWeights, ReviewsSeen, StaffSee};
    $given = $round?->given_at !== null;
    $fixed = $given ? 'Reviews are given out, so this stays.' : null;
    $words = fn (string $group, array $cases): array => collect($cases)
        ->mapWithKeys(fn ($one) => [$one->value => __("peers.{$group}.{$one->value}")])->all();
    $kind = $settings->peers ? ($settings->self ? 'both' : 'peers') : 'self';
    $chosen = (array) old('criteria', $settings->criteria === []
        ? collect($rubric?->criteria)->map(fn ($one) => $one->id())->all() : $settings->criteria);
    $weights = old('weights', $settings->weights->weights);
@endphp
<x-page :title="($round?->title ?? __('peers.new')).': '.$assignment->title" at="modules">
    <x-slot:head><x-fairway :assignment="$assignment" :here="YoungHarbor\Core\Stage::ShareOut" /></x-slot:head>
    @include('share-out.tabs', ['at' => 'peers'])
    <h1 class="text-xl! mb-4">{{ $round === null ? __('peers.new') : $round->title }}</h1>
    @if ($rubric === null)
        <x-empty title="No rubric yet">{{ __('peers.needs_rubric') }}
            <p class="mt-3"><a class="button" href="{{ route('plan.edit', $assignment) }}">Go to Plan</a></p></x-empty>
    @else
    <form method="post" action="{{ $round === null ? route('rounds.store', $assignment) : route('rounds.update', $round) }}">
        @csrf @if ($round !== null) @method('put') @endif
        <div class="split"><div class="min-w-0">
            <section class="panel mb-4"><h2 class="mb-2">What students do</h2>
                <x-field name="title" label="What students read as its title" maxlength="120"
                    :value="$round?->title ?? 'Peer review'" />
                <x-choice name="kind" label="Students" :value="$kind" :locked="$fixed"
                    :options="['peers' => __('peers.kind.peers'), 'self' => __('peers.kind.self'), 'both' => __('peers.kind.both')]" />
                <x-choice name="on" label="What is reviewed" :value="$settings->on->value" :locked="$fixed"
                    :options="$words('on', ReviewedAt::cases())" />
                <x-field name="each" label="Reviews each writes, and each work is promised" inputmode="numeric"
                    :value="$settings->each" :locked="$fixed"
                    hint="Three to five are common. Fewer tell little when one drops out." />
                @if ($given)<input type="hidden" name="without" value="{{ $settings->without ? 1 : 0 }}">@else
                <label class="block mb-3"><input type="hidden" name="without" value="0"><input type="checkbox" name="without"
                    value="1" @checked(old('without', $settings->without))> Students may review who handed in nothing themselves</label>@endif
                <label class="block mb-3"><input type="hidden" name="self_first" value="0"><input type="checkbox" name="self_first"
                    value="1" @checked(old('self_first', $settings->selfFirst))> Where students rate their own work: before they open others’</label>
                <x-choice name="names" label="Whose names are seen" :value="$settings->names->value" :locked="$fixed"
                    :options="$words('names', NamesShown::cases())" /></section>
            <section class="panel mb-4"><h2 class="mb-2">What a review holds</h2>
                <fieldset class="mb-3"><legend class="label">Criteria</legend>
                    @foreach ($rubric->criteria as $criterion)<label class="block py-0.5"><input type="checkbox" name="criteria[]"
                        value="{{ $criterion->id() }}" @checked(in_array($criterion->id(), $chosen, true))
                        @disabled($given)> {{ $criterion->title() }}</label>@endforeach
                    @if ($given)@foreach ($chosen as $id)<input type="hidden" name="criteria[]" value="{{ $id }}">@endforeach
                    <p class="hint">{{ $fixed }}</p>@else
                    <p class="hint">Their weights share the whole between them. None ticked: all.</p>@endif
                    @error('criteria')<p class="error">{{ $message }}</p>@enderror</fieldset>
                <x-field name="least_words" label="Words a comment on each criterion should have" inputmode="numeric"
                    :value="$settings->leastWords" hint="0: as many as they like. Who writes fewer is asked once for more, and may still send it." />
                <x-choice name="staff_see" label="Whoever marks sees beside their own mark" :value="$settings->staffSee->value"
                    :options="$words('staff_see', StaffSee::cases())"
                    hint="Who sees a mark is drawn towards it. Where staff marks are to stand on their own: nothing." />
                <x-choice name="seen" label="Authors see reviews" :value="$settings->seen->value"
                    :options="$words('seen', ReviewsSeen::cases())" />
                <label class="block mb-1"><input type="hidden" name="marks_seen" value="0"><input type="checkbox"
                    name="marks_seen" value="1" @checked(old('marks_seen', $settings->marksSeen))> They see levels and marks, not comments alone</label>
            </section>
            <section class="panel mb-4"><h2 class="mb-2">What counts</h2>
                <div class="grid sm:grid-cols-2 gap-x-6">
                    <x-field name="share" label="Peers’ marks are so much of the mark, %" inputmode="numeric"
                        :value="$settings->share" hint="0: they are feedback alone. The rest is what staff settle." />
                    <x-field name="reviewing" label="Reviewing is so much of the mark, %" inputmode="numeric"
                        :value="$settings->reviewing" hint="0: reviewing well gives no mark." /></div>
                <x-choice name="method" label="Peers’ marks become one by" :value="$settings->method->value"
                    :options="$words('method', Method::cases())"
                    hint="With four reviews and more, weighing helps where some are careless." />
                <p class="small mb-3"><a href="{{ route('help') }}#peers">What each does with a careless mark</a></p>
                <fieldset><legend class="label">What a mark for reviewing is made of, %</legend>
                    <div class="grid sm:grid-cols-2 gap-x-6 gap-y-1">
                    @foreach (ReviewingWeights::PARTS as $part)<label class="flex items-center gap-2">
                        <input class="input w-16! num" name="weights[{{ $part }}]" inputmode="numeric"
                            value="{{ is_array($weights) ? ($weights[$part] ?? 0) : 0 }}"> {{ __("peers.part.{$part}") }}</label>@endforeach</div>
                    @error('weights')<p class="error">{{ $message }}</p>@enderror
                    <p class="hint">Together 100. A part of which nothing can be said leaves its weight to the others.</p></fieldset></section>
        </div>
        <aside class="self-start">
            <section class="panel mb-4"><h2 class="mb-2">When</h2>
                <x-field name="begins_at" label="Reviews are given out" :value="$round === null ? '' : LocalTime::field($round->begins_at)"
                    type="datetime-local" />
                <x-field name="due_at" label="Reviews are due" :value="$round === null ? '' : LocalTime::field($round->due_at)"
                    type="datetime-local" hint="Who is always allowed more days has them here too." />
                <x-field name="answers_due_at" label="Authors answer by (may stay empty)"
                    :value="$round?->answers_due_at === null ? '' : LocalTime::field($round->answers_due_at)" type="datetime-local" />
                <x-field name="replan" label="Planned anew, hours before reviews are due"
                    :value="implode(', ', $settings->replan)"
                    hint="Late work comes in, and reviews that nobody has begun go to others. What is begun stays." /></section>
            <section class="panel mb-4"><h2 class="mb-2">Try it first</h2>
                <p class="mb-2">@if ($round === null)Save the round, then add trial scripts.@else
                    <a href="{{ route('trials.index', $round) }}">{{ $round->trials->count() === 1 ? '1 trial script'
                        : $round->trials->count().' trial scripts' }}</a>@endif</p>
                <x-field name="trial_pass" label="To begin, be so many marks away on average at most" inputmode="numeric"
                    :value="$settings->trialPass" hint="Empty: everyone begins once they have tried." /></section>
            <div class="flex justify-end gap-2"><a class="button" href="{{ $round === null
                ? route('rounds.index', $assignment) : route('rounds.staff', $round) }}">Back</a>
                <button class="button primary">Save</button></div></aside></div>
    </form>
    @endif
</x-page>
