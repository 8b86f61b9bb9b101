Dear {!! $user->name !!},

{!! $news !!}

{!! __('accounts.mail.not_you') !!}

{!! route('forgotten') !!}
