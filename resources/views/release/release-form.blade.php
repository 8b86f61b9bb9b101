@php
    use App\Wording\LocalTime;
    use App\Wording\ReleaseMail;
    $n = $ready->count();
    $which = is_string(old('which')) ? old('which') : 'all';
    $later = old('when') === 'later';
    $marksLater = ! $assignment->release->feedbackOnly;
@endphp
<form id="release" class="panel mb-4 release-form" method="post"
    action="{{ route('release.store', $assignment) }}">@csrf
    <h2 class="mb-2">{{ match ($n) {
        0 => 'No result is ready', 1 => '1 result is ready', default => "{$n} results are ready" } }}</h2>
    @if ($n === 0)<details @if ($errors->hasAny(['at', 'sections', 'scripts', 'body', 'subject'])) open @endif>
        <summary class="link">{{ __('release.set_ahead') }}</summary>@endif
    @if ($check->absent !== [] && $absent === 0)<p class="quiet small mb-2">{{ trans_choice('release.absent', count($check->absent),
        ['count' => count($check->absent)]) }}</p>@endif
    <input type="hidden" name="expected" value="{{ $n }}">
    <fieldset class="mb-3"><legend class="label">Which</legend>
        <label class="block py-1"><input type="radio" name="which" value="all" @checked($which === 'all')>
            All that are ready</label>
        @if ($sections !== [])
            <label class="block py-1"><input type="radio" name="which" value="section" @checked($which === 'section')>
                Those of a section</label>
            <div class="for-section pl-6">@foreach ($sections as $one)<label class="inline-block mr-4 py-1"><input
                type="checkbox" name="sections[]" value="{{ $one }}"
                    @checked(in_array($one, (array) old('sections', []), true))>
                {{ $one }}</label>@endforeach</div>
            @error('sections')<p class="error">{{ $message }}</p>@enderror
        @endif
        <label class="block py-1"><input type="radio" name="which" value="some" @checked($which === 'some')>
            Those ticked in the list</label>
        @error('scripts')<p class="error">{{ $message }}</p>@enderror
    </fieldset>
    <fieldset class="mb-3"><legend class="label">When</legend>
        <label class="block py-1"><input type="radio" name="when" value="now" @checked(! $later)> Now</label>
        <label class="block py-1"><input type="radio" name="when" value="later" @checked($later)> At a time</label>
        <div class="for-later pl-6"><label class="sr-only" for="f-at">Day and time</label><input class="input" id="f-at"
            type="datetime-local" name="at" value="{{ is_string(old('at')) ? old('at') : '' }}"
            @error('at') aria-invalid="true" @enderror>
            <p class="hint">{{ LocalTime::zone() }}. What is ready then goes out. You can move or stop it until the minute.
            </p></div>
        @error('at')<p class="error">{{ $message }}</p>@enderror
    </fieldset>
    <label class="block py-1"><input type="checkbox" name="provisional" value="1" @checked(old('provisional'))>
        Provisional until a board of examiners confirms</label>
    @if ($marksLater)<label class="block py-1 mb-2"><input type="checkbox" name="marks" value="without"
        @checked(old('marks') === 'without')>
        Feedback only; the marks later</label>@endif
    <details class="fold" @if ($errors->has('body') || $errors->has('subject')) open @endif>
        <summary><b>What the mail says</b></summary>
        <div><x-field name="subject" label="Subject" :value="ReleaseMail::usualSubject()" />
        <x-field name="body" label="Text" rows="9" :value="ReleaseMail::usualBody()"
            :hint="'Filled in for each: '.implode(', ',
                array_map(fn ($one) => '{'.$one.'}',
                ReleaseMail::PLACEHOLDERS)).'. The mark never stands in a mail.'" /></div></details>
    <details class="drop text-right" name="act">
        <summary @class(['button', 'primary' => $n > 0])>Release …</summary>
        <div class="text-left mt-2">
            <p class="mb-3">Students read their results from then on and are told by e-mail. A result that is out is not taken back; a
                corrected one can take its place.</p>
            <div class="flex justify-end"><button class="button primary">Release them</button></div></div>
    </details>
    @if ($n === 0)</details>@endif
</form>
