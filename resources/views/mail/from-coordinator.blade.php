{!! $text !!}

--
{!! $fromName !!}
{!! config('harbor.institution') !!}
