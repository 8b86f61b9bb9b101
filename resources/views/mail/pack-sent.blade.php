Dear {!! $pack->person->name !!},

a sample of {{ $pack->scripts()->count() }} scripts of {!! $pack->assignment->title !!} ({!! $pack->assignment->module->fullTitle() !!}) waits for you to read and sign:

{!! route('packs.show', $pack) !!}
@if ($pack->letter !== '')

{!! $pack->letter !!}
@endif

{!! config('harbor.institution') !!}
