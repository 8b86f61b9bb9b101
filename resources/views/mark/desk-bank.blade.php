{{-- The comment bank at a desk. --}}
<div id="bank" class="bank-list" role="listbox" aria-label="Comment bank" hidden></div>
<dialog id="bank-panel" class="bank-panel" aria-labelledby="bank-title">
    <div class="flex items-baseline gap-3 mb-2">
        <h2 id="bank-title">Comment bank</h2><a class="small" href="{{ route('bank.index') }}"
        target="_blank">edit the sets</a><button class="link small ml-auto" type="button"
        data-shut>close</button></div>
    <label class="sr-only" for="f-bank">Find in the comment bank</label><input class="input mb-2" id="f-bank"
        type="search" placeholder="a few letters">
    <ul data-list></ul><p class="quiet small"
        data-none>Nothing fits. Write a comment, then “keep in the bank”.</p>
</dialog>
