<x-page title="Not yours to open" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">Not yours to open</h1>
        <p class="mb-4">{{ $exception->getMessage() !== ""
            && $exception->getMessage() !== "This action is unauthorized." ? $exception->getMessage()
            : "This page belongs to another role or another person." }}</p>
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
