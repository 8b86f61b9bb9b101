<x-page title="This page was open too long" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">This page was open too long</h1>
        <p class="mb-4">Nothing was changed. Go back, load the page again and try once more.</p>
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
