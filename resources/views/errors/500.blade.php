<x-page title="Something went wrong on our side" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">Something went wrong on our side</h1>
        <p class="mb-4">It has been noted. Nothing you had saved is lost; try again, and tell your coordinator if it stays so.
        </p>
        @if (Illuminate\Support\Facades\Context::get('request'))<p class="quiet small mb-4">What went wrong is found by
        <span class="code">{{ Illuminate\Support\Facades\Context::get('request') }}</span>.</p>@endif
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
