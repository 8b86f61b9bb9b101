<x-page title="Grade book" at="grade-book">
    <x-slot:head><div class="heading"><h1>Grade book</h1></div></x-slot:head>
    <div class="panel max-w-xl">
        @foreach ($modules as $module)<p class="mb-1">
        <a href="{{ route('grade-book.show', $module) }}">{{ $module->fullTitle() }}</a></p>@endforeach</div>
</x-page>
