@php($settings = $sheet?->settings ?? YoungHarbor\Core\Release\SheetSettings::usual())
<form class="panel mb-4" method="post"
    action="{{ $sheet === null ? route('sheets.store', $module) : route('sheets.update', $sheet) }}">
    @csrf @if ($sheet !== null) @method('put') @endif
    <h2 class="mb-2">{{ $sheet === null ? 'Plan a reflection' : 'How it is planned' }}</h2>
    <x-field name="title" label="Title" maxlength="120" :value="$sheet?->title" />
    <x-field name="prompts" label="Questions, a line each" rows="5" :value="implode(PHP_EOL, $settings->prompts)"
        hint="One to six." />
    <x-field name="words" label="Words each answer has at least" inputmode="numeric" :value="$settings->words" />
    <x-field name="due_at" label="Due" type="datetime-local" :value="App\Wording\LocalTime::field($sheet?->due_at)" />
    <x-choice name="team_reads" label="Read by" :value="$settings->teamReads ? '1' : '0'"
        :options="['0' => 'coordinators', '1' => 'coordinators and everyone who marks in this module']" />
    <div class="flex justify-end"><button class="button @if ($sheet === null) primary @endif">Save</button></div></form>
