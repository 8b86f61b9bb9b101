Dear {!! $user->name !!},

you have been added to {!! $module->fullTitle() !!}. Choose a password with this link; it works once, for two weeks:

{!! $link !!}

{!! config('harbor.institution') !!}
