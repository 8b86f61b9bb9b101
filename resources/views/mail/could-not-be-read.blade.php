Dear {!! $script->student->name !!},

what was handed in for {!! $script->assignment->title !!} ({!! $script->assignment->module->fullTitle() !!}), attempt {!! $handin->attempt !!}, arrived on {!! App\Wording\LocalTime::shown($handin->received_at) !!} and could not be read, so it does not count:

{!! $handin->unreadable !!}

@if ($script->currentHandin)Attempt {!! $script->currentHandin->attempt !!}, of {!! App\Wording\LocalTime::shown($script->currentHandin->received_at) !!}, counts in its place.
@else
Nothing of yours counts for this assignment now.
@endif
@if ($script->takesHandIns())
Hand in again{!! $script->isPastDue() ? '; it will be late. If the file is right and the fault is not yours, write to your module coordinator, who can see when it arrived' : ', by '.App\Wording\LocalTime::shown($script->due_at) !!}:

{!! route('hand-in.show', $script->assignment) !!}
@else
The assignment is closed: write to your module coordinator, who can see when the file arrived.
@endif

{!! config('harbor.institution') !!}
