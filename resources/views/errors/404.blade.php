<x-page title="There is nothing here" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">There is nothing here</h1>
        <p class="mb-4">The address may be mistyped, or what it led to has been moved.</p>
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
