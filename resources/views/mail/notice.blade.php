{!! $notice->body !!}

{!! config('harbor.institution') !!}
