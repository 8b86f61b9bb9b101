Dear {!! $person->name !!},

@foreach ($notices as $one)
{!! $one->title !!}
{!! url($one->link) !!}

@endforeach
{!! __('notices.daily_foot', ['link' => route('account')]) !!}

{!! config('harbor.institution') !!}
