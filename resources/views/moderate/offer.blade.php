{{-- A mark to propose or decide, in total or criterion by criterion, and what of the comments goes out. --}}
@php
    use YoungHarbor\Core\Marking\Seat;
    use YoungHarbor\Core\Rubric\CriterionMark;
    $how = old('how', 'total');
    $from = (array) old('from', ['first']);
    // Where both set the same, the rail stands there; the rest is for whoever proposes.
    $start = fn ($criterion) => $second && $first->choices->on($criterion->id())
        ->setsTheSame($second->choices->on($criterion->id()))
        ? $first->choices->on($criterion->id()) : (new CriterionMark)->withComment($first->choices->on(
        $criterion->id())->comment);
@endphp
<form class="panel mb-5" method="post" action="{{ $action }}" data-rails id="offer-form">
    @csrf
    <h2 class="mb-2">{{ $title }}</h2>
    <fieldset class="mb-3"><legend class="sr-only">How</legend>
        <label class="block py-1"><input type="radio" name="how" value="total" @checked($how === 'total')>
            A mark in total</label>
        <div class="when-total pl-6"><x-field name="mark" label="Mark" inputmode="decimal"
            hint="0 to 100, one decimal at most" /></div>
        <label class="block py-1"><input type="radio" name="how" value="criteria" @checked($how === 'criteria')>
            Criterion by criterion: the levels the student reads then add up to the mark</label>
        <div class="when-criteria pl-6">
            @error('criteria')<p class="error">{{ $message }}</p>@enderror
            @foreach ($rubric->criteria as $criterion)
                <fieldset class="criterion px-0!">
                    <x-mark-criterion :criterion="$criterion" :set="$start($criterion)"
                        prefix="criteria[{{ $criterion->id() }}]" :weighting="$rubric->weighting" />
                    @include('mark.beside-criterion', ['beside' => $done])
                    <label class="sr-only" for="o-{{ $criterion->id() }}">Comment on {{ $criterion->title() }}</label>
                    <textarea class="input mt-1 field-sizing-content" id="o-{{ $criterion->id() }}"
                        name="criteria[{{ $criterion->id() }}][comment]" rows="1" dir="auto"
                        placeholder="what the student reads on {{ Str::lower($criterion->title()) }}">{{ old(
                        "criteria.{$criterion->id()}.comment", $start($criterion)->comment) }}</textarea>
                </fieldset>
            @endforeach
        </div>
    </fieldset>
    <fieldset class="mb-3"><legend class="label">Comments the student reads</legend>
        @foreach ($done as $mark)<label class="inline-block mr-4 py-1"><input type="checkbox" name="from[]"
            value="{{ $mark->seat->value }}" @checked(in_array($mark->seat->value, $from, true))>
            {{ __("moderate.comments_of.{$mark->seat->value}") }}</label>@endforeach
        <details class="mt-1" @if (old('own_general')) open @endif><summary class="link small">
            Say something else in general</summary>
            <label class="block py-1 small"><input type="checkbox" name="own_general" value="1"
                @checked(old('own_general'))> In place of what they wrote in general:</label>
            <label class="sr-only" for="f-general">In general</label>
            <textarea class="input" id="f-general" name="general" rows="4" dir="auto">{{ old('general', $done->map(
                fn ($mark) => trim($mark->general_comment))->filter()->implode("\n\n")) }}</textarea></details>
    </fieldset>
    @isset($corrects)
        @if ($review)<input type="hidden" name="review" value="{{ $review->public_id }}">@endif
        <x-field name="what_changed" label="What changed, for the student" rows="3"
            hint="Stands at the top of the new result{{ $review ? ', and answers the review' : '' }}." />
    @endisset
    <x-field name="reason" label="Why" rows="4" hint="The examiner and the student’s working show this." />
    <div class="flex justify-end gap-3">
        @empty($corrects)<button class="button" formaction="{{ route('moderate.preview', $script) }}" formnovalidate
            hx-post="{{ route('moderate.preview', $script) }}" hx-target="#preview"
            hx-include="closest form">As the student would see it</button>@endempty
        <button class="button primary">{{ $button }}</button></div>
    <div id="preview" class="mt-3" aria-live="polite"></div>
</form>
