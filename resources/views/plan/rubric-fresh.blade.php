{{-- What else on the page has to know that the sheet was saved. --}}
<button class="button primary" name="seen" value="{{ $rubric->lock_version }}" id="ready-button"
    hx-swap-oob="true">Make it ready</button>
<div id="messages" aria-live="polite" hx-swap-oob="true"></div>
