Dear {!! $user->name !!},

you have been added to {!! $module->fullTitle() !!} as {!! $role->label() !!}. Sign in as before:

{!! route('modules.show', $module) !!}

{!! config('harbor.institution') !!}
