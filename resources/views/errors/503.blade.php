<x-page title="Closed for a moment" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">Closed for a moment</h1>
        <p class="mb-4">Young Harbor is being brought up to date. Try again in a minute.</p>
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
