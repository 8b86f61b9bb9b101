Dear {!! $script->student->name !!},

your coordinator wrote to you about your work for {!! $script->assignment->title !!} ({!! $script->assignment->module->fullTitle() !!}). You can read it here:

{!! route('screen.own-record', $script) !!}

{!! config('harbor.institution') !!}
