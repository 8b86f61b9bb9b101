{{-- Keys at a desk, and changing them. --}}
<dialog id="keys" class="wide" aria-labelledby="keys-title">
    <h2 id="keys-title" class="mb-2">Keys at the desk</h2>
    <p class="small mb-2"><kbd>Tab</kbd> goes from rail to comment to the next rail; <kbd>←</kbd> <kbd>→</kbd>
    move the pin by half a level; <kbd>1</kbd> to <kbd>9</kbd> choose a level, <kbd>0</kbd>
    takes it back; in a comment, <kbd>;</kbd> and some letters look in the bank; <kbd>Esc</kbd>
    leaves what is open. The keys below are yours to change; an empty field switches one off. None acts while you write.
    </p>
    <form id="keys-form">
        <div class="grid sm:grid-cols-2 lg:grid-cols-3 gap-x-8">
            @foreach ($names as $command => $name)
                <label class="flex items-center gap-2 py-0.5 small"><input class="input w-11! min-h-0! text-center"
                    data-key-of="{{ $command }}" data-name="{{ $name }}" value="{{ $key($command) }}" maxlength="1"
                    autocomplete="off" autocapitalize="off" spellcheck="false"> {{ $name }}</label>
            @endforeach
        </div>
        <div class="flex items-center justify-end gap-3 mt-3"><span class="small"
            role="status"></span><button class="button" type="button" data-closes autofocus>Close</button>
            <button class="button primary">Save these keys</button></div>
    </form>
</dialog>
