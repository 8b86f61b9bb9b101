<nav class="flex gap-5" aria-label="Pages of the logbook">
    @if (! $paginator->onFirstPage())<a href="{{ $paginator->previousPageUrl() }}">newer</a>@endif
    @if ($paginator->hasMorePages())<a href="{{ $paginator->nextPageUrl() }}">older</a>@endif
</nav>
