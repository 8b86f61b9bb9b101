@php
    use App\Support\Clock;
    $a = $assignment;
    $bandKey = $a ? array_search($a->bands, config('harbor.bands')) : 'classes';
    $rubricId = $a?->rubricVersion?->rubric->public_id;
    $options = ['' => 'Choose one'] + $rubrics->mapWithKeys(fn ($r) => [$r->public_id => $r->title.', version '.$r->latestVersion->number])->all();
    if ($a?->rubricVersion && ! isset($options[$rubricId])) {
        $options[$rubricId] = $a->rubricVersion->rubric->title.', version '.$a->rubricVersion->number;
    }
    $open = $a?->isPublished() ?? false;
@endphp
<x-page :title="$a?->title ?? 'A new assignment'" at="modules">
    <x-slot:head>
        @if ($a)<x-fairway :assignment="$a" :here="YoungHarbor\Core\Stage::Plan" />
        @else<div class="heading"><h1>A new assignment</h1><a class="of" href="{{ route('modules.show', $module) }}">{{ $module->fullTitle() }}</a></div>@endif
    </x-slot:head>
    <form id="assignment" method="post" action="{{ $a ? route('plan.update', $a) : route('plan.store', $module) }}">
        @csrf
        @if ($a)@method('put')<input type="hidden" name="lock_version" value="{{ $a->lock_version }}">@endif
        <div class="grid lg:grid-cols-2 gap-x-10">
            <div>
                <h2 class="mb-3">What students are asked</h2>
                <x-field name="title" label="Title" :value="$a?->title" required />
                <x-field name="brief" label="Brief" rows="9" :value="$a?->brief" hint="Students read it from the opening time on." />
                <x-choice name="rubric" label="Rubric" :options="$options" :value="$rubricId" :hint="$open ? 'Students can see it, so it stays.' : ($rubrics->isEmpty() ? 'No rubric of this module is ready yet. Save without one, make one ready under Rubrics, and choose it here.' : 'Only ready rubrics can be chosen.')" />
            </div>
            <div>
                <h2 class="mb-3">When</h2>
                <div class="grid sm:grid-cols-2 gap-x-4">
                    <x-field name="opens_at" label="Opens" type="datetime-local" :value="Clock::field($a?->opens_at)" hint="Empty: as soon as you open it." />
                    <x-field name="due_at" label="Due" type="datetime-local" :value="Clock::field($a?->due_at)" />
                    <x-field name="closes_at" label="Late work is taken until" type="datetime-local" :value="Clock::field($a?->closes_at)" hint="Marked as late. Empty: no end." />
                    <x-field name="promised_on" label="Results promised for" type="date" :value="$a?->promised_on?->format('Y-m-d')" />
                </div>
                <p class="hint mb-5">Times are those of {{ Clock::zone() }}.</p>
                <h2 class="mb-3">How marks settle</h2>
                <div class="grid sm:grid-cols-2 gap-x-4">
                    <x-choice name="second_marking" label="Second marking" :options="['1' => 'Every script, blind', '0' => 'One mark a script']" :value="$a ? (int) $a->second_marking : 1" />
                    <x-field name="tolerance" label="Tolerance" inputmode="decimal" :value="$a ? rtrim(rtrim($a->tolerance, '0'), '.') : '5'" hint="Marks no further apart than this settle by the rule." />
                    <x-choice name="settle_rule" label="Within it" :options="['mean' => 'The mean of both', 'first' => 'The first mark stands', 'higher' => 'The higher mark']" :value="$a?->settle_rule->value ?? 'mean'" />
                    <x-field name="pass_mark" label="Pass line" inputmode="decimal" :value="$a ? rtrim(rtrim($a->pass_mark, '0'), '.') : '40'" hint="Nothing settles by itself across it." />
                    <x-choice name="bands" label="Grade bands" :options="collect(config('harbor.bands'))->map(fn ($b) => $b['name'])->all()" :value="$bandKey" hint="A mark is in the highest band it reaches after its one rounding: 69.5 is not 70." />
                    <x-choice name="markers_see_overlap" label="Overlap reports" :options="['1' => 'Markers of a script see its report', '0' => 'The coordinator alone']" :value="$a ? (int) $a->markers_see_overlap : 1" />
                </div>
            </div>
        </div>
    </form>
    <div class="flex justify-end gap-3 mt-2">
        @if ($a && ! $open)
            <form method="post" action="{{ route('plan.open', $a) }}">@csrf<button class="button">Open it to students</button></form>
        @endif
        <button class="button primary" form="assignment">{{ $a ? 'Save' : 'Save, not open yet' }}</button>
    </div>
    @if ($a?->rubricVersion)
        <h2 class="mt-8 mb-3">The rubric as students see it</h2>
        <x-rubric-view :rubric="$a->rubricVersion->toCore()" />
    @endif
</x-page>
