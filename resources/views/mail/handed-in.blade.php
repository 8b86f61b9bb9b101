Dear {!! $script->student->name !!},

@if ($script->assignment->isDiscussion())
{!! __('discuss.mail_frozen', ['assignment' => $script->assignment->title, 'module' => $script->assignment->module->fullTitle(), 'pieces' => $handin->late ? ', late' : '']) !!}
@else
{!! $handin->handed_in_by === $script->student_id ? 'you have handed in' : $handin->by->name.' has handed in for your group' !!}: {!! $script->assignment->title !!} ({!! $script->assignment->module->fullTitle() !!}), attempt {!! $handin->attempt !!}, {!! App\Wording\LocalTime::shown($handin->received_at) !!}{!! $handin->late ? ', late' : '' !!}.
{!! $script->current_handin_id === $handin->id ? '' : "\nAnother attempt of yours counts: this one came after the due time. You can choose which counts on the page of the assignment.\n" !!}
@endif
What was read of it, and whether all of it could be:

{!! route('receipts.show', $handin) !!}

Keep this mail: it is your receipt.

{!! $receipt !!}
{!! config('harbor.institution') !!}
