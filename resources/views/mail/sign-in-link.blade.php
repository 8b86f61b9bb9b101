Dear {!! $user->name !!},

{!! __('accounts.mail.link', ['minutes' => $minutes]) !!}

{!! $link !!}

{!! __('accounts.mail.link_not_you') !!}
