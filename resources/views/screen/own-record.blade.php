<x-page title="About your work" at="modules">
    <x-slot:head><div class="heading">
        <h1>About your work</h1><a class="of"
        href="{{ route('hand-in.show', $assignment) }}">{{ $assignment->title }}</a></div></x-slot:head>
    <p class="mb-4 max-w-2xl">
        Your module coordinator wrote this for you to read. It is no mark and no verdict. If you want to add something or have it explained, write to them.
        </p>
    @foreach ($entries as $entry)
        <article class="panel mb-3 max-w-2xl">
            <p><b>{{ $entry->found->toStudent() }}</b>
            <span class="quiet small">{{ App\Wording\LocalTime::shown($entry->created_at) }}</span></p>
            <p class="whitespace-pre-line mt-1">{{ $entry->why }}</p>
            @if ($entry->questions)<p class="label mt-2">What you will be asked</p>
            <p class="whitespace-pre-line">{{ $entry->questions }}</p>@endif</article>
    @endforeach
</x-page>
