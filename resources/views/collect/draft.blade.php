<x-page title="A draft, checked" at="modules" bare>
    <x-slot:head><div class="heading">
        <h1>A draft, checked</h1><a class="of"
        href="{{ route('hand-in.show', $assignment) }}">{{ $assignment->title }}</a></div></x-slot:head>
    @include('collect.draft-found')
</x-page>
