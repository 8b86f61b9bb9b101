{{-- One comment on the text while it is written. --}}
<section id="strip" aria-label="The comment" hidden>
    <div class="flex items-baseline gap-2"><b class="whitespace-nowrap" data-title></b>
    <span class="quiet small truncate min-w-0" data-quote
        dir="auto"></span><button class="link small ml-auto" type="button" data-close>close</button></div>
    <fieldset @disabled($locked)>
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1 small my-1">
            <span role="radiogroup" aria-label="What it is"
                class="flex gap-3">@foreach (YoungHarbor\Core\Text\CommentKind::cases() as $kind)<label
                class="whitespace-nowrap"><input type="radio" name="kind" value="{{ $kind->value }}">
                <span class="kind-sample {{ $kind->value }}">{{ __(
                    'mark.comment_kind.'.$kind->value) }}</span></label>@endforeach</span>
            <label class="min-w-0">on
            <select class="input inline! w-auto! min-h-0! max-w-48" name="criterion">
                <option value="">no criterion</option>
                @foreach ($rubric->criteria as $criterion)<option value="{{ $criterion->id() }}">
                    {{ $criterion->title() }}</option>@endforeach</select></label>
            <label class="whitespace-nowrap" title="{{ __('mark.star_title') }}"><input type="checkbox" name="starred"
                value="1"> {{ __('mark.star') }}</label>
            <span class="ml-auto flex gap-3"><button class="link" type="button"
                data-keep-comment>keep in the bank</button>
                <button class="link" type="button" data-here>move to the selected words</button>
                <button class="link" type="button" data-remove>take away</button></span>
        </div>
        <label class="sr-only" for="strip-body">What you say about it</label>
        <textarea class="input" id="strip-body" rows="3" dir="auto"
            placeholder="Write here. A semicolon and some letters look in the comment bank."></textarea>
    </fieldset>
    <p class="signal small" data-why role="status"></p>
    <div class="notice refusal" data-clash role="alert" hidden>
        <p class="small">In another tab or on another device this comment now reads:</p>
        <p class="small whitespace-pre-line border-l-3 border-rule pl-3 my-1" data-theirs dir="auto"></p>
        <div class="flex flex-wrap gap-2">
            <button class="button small" type="button" data-keep>Keep what is here</button>
            <button class="button small" type="button" data-take>Take the other</button>
            <button class="button small" type="button" data-both>Keep both</button></div></div>
</section>
