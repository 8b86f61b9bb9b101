<x-page title="Words that also stand elsewhere" at="modules" bare>
    <x-slot:head><div class="heading">
        <h1>Words that also stand elsewhere</h1><a class="of"
        href="{{ route('hand-in.show', $assignment) }}">{{ $assignment->title }}</a></div></x-slot:head>
    @if ($reading === null)
        <div class="px-6 py-5"><x-empty title="Not compared yet">
            Your work is being compared. Come back in a while.</x-empty></div>
    @else
        @include('screen.for-student',
            ['link' => fn (array $query) => route('screen.own', [$script, ...$query]), 'draft' => false])
    @endif
</x-page>
