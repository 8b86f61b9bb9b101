{{-- What its author and peers gave the work on a criterion, where a round says that staff see it. --}}
@foreach ($ratings[$criterion->id()] ?? [] as $one)
    <div class="mt-1 pl-3 border-l-3 border-rule small"><b>{{ $one['who'] }}:</b> {{ $one['said'] }}
        @if ($one['comment'] !== '')<span class="block whitespace-pre-line quiet" dir="auto">{{ $one['comment'] }}</span>@endif</div>
@endforeach
