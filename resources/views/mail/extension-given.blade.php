Dear {!! $extension->student->name !!},

for {!! $extension->assignment->title !!} ({!! $extension->assignment->module->fullTitle() !!}) you now have until {!! App\Wording\LocalTime::shown($extension->due_at) !!}.

Given by {!! $extension->giver->name !!}. The brief, and how your due time comes about:

{!! route('hand-in.show', $extension->assignment) !!}

{!! config('harbor.institution') !!}
