{{-- Keeping a comment in the bank. --}}
<dialog id="keep-dialog" aria-labelledby="keep-title">
    <form method="post" action="{{ route('bank.comments.store') }}">@csrf
        <h2 id="keep-title" class="mb-2">Keep this comment</h2>
        <x-field name="label" label="Short label" maxlength="80" hint="A few words to find it by." />
        <x-field name="text" label="The comment" rows="4" />
        <x-choice name="set" label="In" :options="$sets" />
        <input type="hidden" name="module" value="{{ $assignment->module->public_id }}"><input type="hidden"
            name="kind"><input type="hidden" name="criterion">
        <p class="small signal" role="status"></p>
        <div class="flex justify-end gap-2"><button class="button" type="button" data-closes>Close</button>
        <button class="button primary">Save</button></div>
    </form>
</dialog>
