{!! $who->name !!} was made a coordinator of {!! $module->fullTitle() !!}{!! $by === null ? '' : ' by '.($by->is($who) ? 'themselves, as an administrator' : $by->name) !!}, and sees all that you see there: names, marks and the logbook.

If that is not right, take them off the list of people:

{!! route('people.index', $module) !!}

{!! config('harbor.institution') !!}
