<x-page title="Too many tries" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">Too many tries</h1>
        <p class="mb-4">That was too often in a short time. Nothing was changed; wait a minute and try again.</p>
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
