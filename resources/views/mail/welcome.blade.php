Dear {!! $user->name !!},

{!! $module === null ? 'there is an account for you' : 'you have been added to '.$module->fullTitle() !!}. Choose a password with this link; it works once, for two weeks. After that, “No password yet, or forgotten” on the sign-in page sends another:

{!! $link !!}

{!! config('harbor.institution') !!}
