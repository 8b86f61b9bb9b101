Dear {!! $user->name !!},

someone, most likely you, asked for a new password for your account. Choose it here, within an hour:

{!! $link !!}

The link works once. If it was not you, nothing has to be done: your password holds, and nobody has learned anything.
