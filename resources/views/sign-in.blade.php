<x-page title="Sign in" quiet-errors>
    <div class="max-w-md mx-auto mt-10">
        <h1 class="mb-1">Sign in</h1>
        <p class="quiet mb-5">{{ config('harbor.institution') }}</p>
        @error('expired')<div class="notice refusal" role="alert">{{ $message }}</div>@enderror
        <form class="panel" method="post" action="{{ route('sign-in.store') }}">
            @csrf
            <x-field name="email" label="E-mail address" type="email" autocomplete="username" required autofocus />
            <x-field name="password" label="Password" type="password" autocomplete="current-password" required />
            <div class="flex justify-between items-center"><a class="small"
                href="{{ route('forgotten') }}">No password yet, or forgotten</a><button class="button primary">
                Sign in</button></div>
        </form>
        @if ($links)<p class="mt-4"><a href="{{ route('sign-in.link') }}">{{ __('accounts.link.ask') }}</a></p>@endif
        @if (config('harbor.demo'))
            <p class="quiet mt-4">This is the demo.
            <a href="{{ route('demo') }}">Everyone in it, with their sign-ins</a></p>
        @endif
    </div>
</x-page>
