@props(['title', 'at' => '', 'bare' => false, 'fill' => false])
{{-- An address that leads nowhere is answered before there is a session, and so before there are errors. --}}
@php($errors ??= new Illuminate\Support\ViewErrorBag)
<!DOCTYPE html>
<html lang="en" data-theme="{{ auth()->user()->theme ?? 'device' }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="referrer" content="same-origin">
    <meta name="person" content="{{ auth()->user()?->public_id }}">
    <title>{{ $title }} · Young Harbor</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body @class(['fill' => $fill])>
    <a class="skip" href="#main">Skip to content</a>
    <header class="top">
        <nav aria-label="Main">
            <a class="home" href="{{ route('today') }}">
                <svg width="24" height="18" viewBox="0 0 24 18" aria-hidden="true">
                    <path d="M12 1 V10 L18 10 Z" fill="currentColor" />
                    <path d="M1 13 q5 -3 11 0 t11 0" fill="none" stroke="currentColor" stroke-width="2.2" /></svg>
                Young Harbor
            </a>
            @auth
                @php($current = fn (string $where) => $at === $where ? 'page' : 'false')
                <a href="{{ route('today') }}" aria-current="{{ $current('today') }}">Today</a>
                <a href="{{ route('modules.index') }}" aria-current="{{ $current('modules') }}">Modules</a>
                @can('viewAny', App\Models\Rubric::class)
                    <a href="{{ route('rubrics.index') }}" aria-current="{{ $current('rubrics') }}">Rubrics</a>
                @endcan
                @if (auth()->user()->is_admin)
                    <a href="{{ route('institution.people') }}" aria-current="{{ $current('people') }}">{{ __('accounts.people.nav') }}</a>
                @endif
                @if (auth()->user()->coordinatesAny())
                    <a href="{{ route('grade-book') }}" aria-current="{{ $current('grade-book') }}">Grade book</a>
                @endif
                <form class="ml-auto find" method="get" action="{{ route('find') }}" role="search"><input type="search" name="q"
                    class="input" aria-label="{{ __('find.title') }}" placeholder="{{ __('find.title') }}" maxlength="100"
                    data-key="/" data-focuses title="{{ __('find.field') }} (/)"></form>
                <a class="find-link" href="{{ route('find') }}" aria-current="{{ $current('find') }}">{{ __('find.title') }}</a>
                <a href="{{ route('account') }}"
                    aria-current="{{ $current('account') }}">{{ auth()->user()->name }}</a>
                <form class="flex" method="post" action="{{ route('sign-out') }}" data-signs-out>
                    @csrf<button>Sign out</button></form>
                <a href="{{ route('help') }}#{{ App\Wording\HelpParts::for(request(), auth()->user()) }}"
                    aria-current="{{ $current('help') }}">Help</a>
            @endauth
        </nav>
    </header>
    {{ $head ?? '' }}
    <main id="main" @class(['page' => ! $bare]) tabindex="-1">
        <div id="messages" @class(['px-6 pt-2' => $bare && $errors->any()]) aria-live="polite">
            @if ($errors->any() && ! $attributes->has('quiet-errors'))
                <div class="notice refusal" role="alert">
                    @foreach ($errors->all() as $message)
                        <p>{{ $message }}</p>
                    @endforeach
                </div>
            @endif
        </div>
        {{ $slot }}
    </main>
    @if (session('said'))
        <div class="toast" role="status">{{ session('said') }}</div>
    @endif
</body>
</html>
