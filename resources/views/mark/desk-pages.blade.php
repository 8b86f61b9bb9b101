{{-- The pages of a PDF, drawn anew, as a desk shows them. --}}
@if ($files !== [] && ! $earlier)
    <div id="pages" hidden>
        <div class="pages-bar" data-bar>
            @if (count($files) > 1)<label>file <select class="input" name="file">
                @foreach ($files as $file)<option value="{{ $file['number'] }}">
                {{ $file['number'] }}</option>@endforeach</select></label>@endif
            <label>page <input class="input num" type="number" name="page" min="1"
                value="1"></label><span class="quiet">of <span data-all></span></span>
            <details class="drop"><summary class="link">list</summary>
            <ol class="panel page-list" data-list></ol></details>
            <span class="whitespace-nowrap"><button class="link" type="button" data-act="out"
                aria-label="Smaller">−</button> <span data-zoom class="quiet"></span>
                <button class="link" type="button" data-act="in" aria-label="Larger">+</button></span>
            <button class="link" type="button" data-act="fit">fit</button>
            <button class="link" type="button" data-act="turn">turn</button>
            @unless ($locked)<label>draw <select class="input" name="tool">
                <option value="read">nothing</option><option value="point">a point</option>
                <option value="box">a box</option><option value="line">a line</option>
                <option value="freehand">by hand</option></select></label>@endunless
            <form class="flex items-center gap-1"><label class="sr-only"
                for="f-page-search">Search these pages</label><input class="input" id="f-page-search"
                type="search" name="search" placeholder="search"><span class="quiet" data-found
                role="status"></span></form>
        </div>
        <p class="quiet" data-message role="status"></p>
        <div data-sheets data-tool="read"></div>
    </div>
@endif
