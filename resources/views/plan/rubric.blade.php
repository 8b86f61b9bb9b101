<x-page :title="$rubric->title" at="rubrics">
    <x-slot:head><x-rubric-head :rubric="$rubric" here="sheet" /></x-slot:head>
    @isset($conflict)@include('plan.rubric-conflict', $conflict)@endisset
    @if ($editable)
        <div id="clashes" aria-live="polite"></div>
        <p id="news" class="small quiet mb-2"
            role="status">@if ($others !== [])Also here: {{ implode(', ', $others) }}.@endif</p>
        @include('plan.rubric-sheet')
        <div class="flex flex-wrap justify-end items-center gap-4 mt-6">
            <noscript><span class="signal small">Save what you have written first.</span></noscript>
            <span class="quiet small">Making it ready freezes this version; assignments can then use it.</span>
            <form id="ready" method="post" action="{{ route('rubrics.ready', $rubric) }}">
                @csrf<button class="button primary" name="seen" value="{{ $rubric->lock_version }}"
                id="ready-button">Make it ready</button></form>
        </div>
        <dialog id="paste" class="wide" aria-labelledby="paste-title" @if ($errors->has('pasted')) open @endif>
            <form method="post" action="{{ route('rubrics.paste', $rubric) }}"
                hx-post="{{ route('rubrics.paste', $rubric) }}" hx-target="#pasted"
                hx-trigger="submit, input from:#paste-text delay:400ms, change from:#paste-headed">
                @csrf
                <h2 id="paste-title" class="mb-1">Paste a table</h2>
                <p class="quiet small mb-2">
                    Copy the cells in a spreadsheet or a word processor, criteria down and levels across, and paste them here. You see what was understood before anything changes.
                    </p>
                <label class="sr-only" for="paste-text">The table</label>
                <textarea class="input font-mono small" id="paste-text" name="pasted" rows="6"
                    data-takes-tables></textarea>
                <label class="block small mt-1">The first row
                    <select id="paste-headed" name="headed" class="bare">
                        <option value="">is looked at to see what it is</option>
                        <option value="1">names the levels</option>
                        <option value="0">is a criterion</option></select></label>
                <div id="pasted" class="mt-2" aria-live="polite"></div>
                <div class="flex justify-end gap-3 mt-3">
                    <button class="button" type="button"
                    data-closes>Close</button><noscript><button class="button">Preview</button></noscript></div>
            </form>
        </dialog>
        <dialog id="keys" aria-labelledby="keys-title">
            <h2 id="keys-title" class="mb-2">Keys on the sheet</h2>
            <table class="table small"><tbody>
                <tr><td><kbd>Tab</kbd></td><td>to the next cell; <kbd>Shift</kbd> <kbd>Tab</kbd> back</td></tr>
                <tr><td><kbd>↑</kbd> <kbd>↓</kbd> <kbd>←</kbd> <kbd>→</kbd></td>
                <td>to the neighbouring cell, from the edge of what is written</td></tr>
                <tr><td><kbd>Ctrl</kbd> <kbd>Enter</kbd></td><td>a new criterion below this one</td></tr>
                <tr><td><kbd>Ctrl</kbd> <kbd>Shift</kbd> <kbd>Enter</kbd></td><td>a new level</td></tr>
                <tr><td><kbd>Alt</kbd> <kbd>Shift</kbd> <kbd>↑</kbd> <kbd>↓</kbd></td><td>move this criterion</td></tr>
                <tr><td><kbd>Alt</kbd> <kbd>Shift</kbd> <kbd>←</kbd> <kbd>→</kbd></td><td>move this level</td></tr>
                <tr><td><kbd>Alt</kbd> <kbd>Shift</kbd> <kbd>D</kbd></td>
                <td>duplicate this criterion, or in the top row this level</td></tr>
                <tr><td><kbd>Alt</kbd> <kbd>Shift</kbd> <kbd>Delete</kbd></td>
                <td>remove this criterion, or in the top row this level</td></tr>
                <tr><td><kbd>Ctrl</kbd> <kbd>Z</kbd></td><td>undo; with <kbd>Shift</kbd> do it again</td></tr>
            </tbody></table>
            <p class="quiet small mt-2">
                What you write is saved as you go. The last {{ App\Actions\Plan\EditRubric::STEPS }}
                steps can be undone, also after you come back.</p>
            <div class="flex justify-end mt-3"><button class="button" type="button" data-closes>Close</button></div>
        </dialog>
    @else
        @if ($draft->faults() === [])
            <x-rubric-view :rubric="YoungHarbor\Core\Rubric\Rubric::fromArray($draft->document)" />
        @else
            <p class="quiet">This working copy is not complete yet; whoever writes it has it open for changes.</p>
        @endif
    @endif
</x-page>
