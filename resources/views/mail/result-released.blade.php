Dear {!! $result->script->student->name !!},

your result for {!! $result->script->assignment->title !!} ({!! $result->script->assignment->module->fullTitle() !!}) is ready to read:

{!! route('results.show', $result) !!}

{!! $result->mark === null ? "It shows each criterion with the level you reached, and your marker's comments; there is no mark." : "It shows your mark and how it came about, each criterion with the level you reached, and your marker's comments." !!}

{!! config('harbor.institution') !!}
