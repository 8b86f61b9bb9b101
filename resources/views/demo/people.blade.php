<x-page title="Demo sign-ins">
    <x-slot:head><div class="heading">
        <h1>Demo sign-ins</h1><span class="of">{{ config('harbor.institution') }}, made up throughout</span></div>
        </x-slot:head>
    <p class="mb-4">Everyone’s password is
    <b>low-water-mark</b>. Pick a person to sign in as them. The mail that goes out is kept
    <a href="{{ route('demo.mail') }}">here</a>.</p>
    @foreach ($people as $role => $list)
        <h2 class="mb-2">{{ ucfirst($role) }}</h2>
        <div class="grid grid-cols-1 sm:grid-cols-2 lg:grid-cols-4 gap-3 mb-6">
            @foreach ($list as $person)
                <form class="sheet" method="post" action="{{ route('sign-in.store') }}">
                    @csrf
                    <input type="hidden" name="email" value="{{ $person->email }}"><input type="hidden" name="password"
                        value="low-water-mark">
                    <button class="w-full text-left px-3 py-2 cursor-pointer">
                        <span class="font-bold text-deep">{{ $person->name }}</span><br><span
                        class="quiet small">{{ $person->email }}</span></button>
                </form>
            @endforeach
        </div>
    @endforeach
</x-page>
