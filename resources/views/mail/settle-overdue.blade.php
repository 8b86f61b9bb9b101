Dear {!! $person->name !!},

@if ($isDecision)
the markers of these scripts of {!! $assignment->title !!} ({!! $assignment->module->fullTitle() !!}) have not agreed within {{ $assignment->scheme->days }} days of their second mark. It is for a coordinator who marked neither to decide:
@else
these scripts of {!! $assignment->title !!} ({!! $assignment->module->fullTitle() !!}) were to be settled with the other marker within {{ $assignment->scheme->days }} days of the second mark, and are not yet:
@endif

{!! implode(', ', $codes) !!}

{!! route('moderate.index', [$assignment, 'show' => 'overdue']) !!}

{!! config('harbor.institution') !!}
