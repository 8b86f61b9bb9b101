@props(['pages'])
@if ($pages->hasPages())
    <nav class="flex flex-wrap gap-x-5 mt-3"
        aria-label="Pages"><span class="quiet">{{ number_format($pages->firstItem()) }}
        to {{ number_format($pages->lastItem()) }} of {{ number_format($pages->total()) }}</span>
        @if ($pages->previousPageUrl())<a rel="prev" href="{{ $pages->previousPageUrl() }}">‹ previous</a>@endif
        @if ($pages->nextPageUrl())<a rel="next" href="{{ $pages->nextPageUrl() }}">next ›</a>@endif</nav>
@endif
