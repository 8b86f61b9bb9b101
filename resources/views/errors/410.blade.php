<x-page title="{{ __('keeping.let_go_title') }}" quiet-errors>
    <div class="max-w-xl mx-auto mt-12 panel">
        <h1 class="mb-2">{{ __('keeping.let_go_title') }}</h1>
        <p class="mb-4">{{ $message ?? $exception->getMessage() }}</p>
        @isset ($plan)<p class="mb-2"><a href="{{ route('plan.edit', $plan) }}">{{ __('keeping.let_go_plan', [
            'assignment' => $plan->title]) }}</a></p>@endisset
        <p><a href="{{ route('today') }}">Go to Today</a></p>
    </div>
</x-page>
