<x-page title="Nothing can be changed just now" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">Nothing can be changed just now</h1>
        <p class="mb-4">{{ $message }}</p>
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
