Dear {!! $student->name !!},

the rubric that your work for {!! $assignment->title !!} ({!! $assignment->module->fullTitle() !!}) is marked by has changed. You can read it as it stands now here:

{!! route('hand-in.show', $assignment) !!}

{!! config('harbor.institution') !!}
