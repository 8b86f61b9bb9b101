<progress class="w-full mb-1" max="1" value="0" hidden aria-label="Files sent"></progress>
<p class="hint" data-line role="status"></p>
<ul class="error list-disc ml-5 max-h-60 overflow-y-auto" data-refused></ul>
<div class="flex justify-end"><button class="button primary">Add them</button></div>
