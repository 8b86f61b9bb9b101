<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\WriteToStudents;
use App\Http\Controllers\Controller;
use App\Http\Requests\Collect\MessageRequest;
use App\Models\Assignment;
use App\Models\Message;
use App\Models\Script;
use App\Queries\Collect\Cohort;
use App\Wording\StudentPlaceholders;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Collect\Placeholders;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Writing to the students a cohort page shows: write, look at what each will get, send.
 */
final class MessageController extends Controller
{
    /** Mails of this many students are shown before sending. */
    private const SHOWN = 3;

    public function create(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $cohort = Cohort::of($assignment, $request->query());

        return view('collect.write', [
            'assignment' => $assignment, 'cohort' => $cohort, 'students' => count($cohort->students()),
            'previews' => null, 'subject' => '', 'body' => '',
            'sent' => Message::query()->where('assignment_id', $assignment->id)->with('sender:id,name')->latest('id')
                ->limit(20)->get(),
        ]);
    }

    /** Shows what would be sent; sends it when that was looked at. */
    public function store(
        MessageRequest $request, Assignment $assignment, WriteToStudents $write,
    ): View|RedirectResponse {
        $fields = $request->validated();
        foreach (['subject', 'body'] as $field) {
            try {
                Placeholders::check($fields[$field], StudentPlaceholders::ALL);
            } catch (InvalidInput $e) {
                throw ValidationException::withMessages([$field => $e->faults[0]->what.'.']);
            }
        }
        $cohort = Cohort::of($assignment, $request->query());
        $students = $cohort->students();
        throw_if(
            $students === [],
            ValidationException::withMessages(['body' => 'Nobody is in this list, so there is nobody to write to.']),
        );
        if ($request->boolean('send') && $request->integer('seen') === count($students)) {
            $message = $write($cohort, $fields['subject'], $fields['body'], $this->person($request));

            return redirect()->route('collect.index', [$assignment, ...$cohort->asked()])
                ->with(
                    'said',
                    $message->recipients === 1
                        ? 'One student was written to.'
                        : "{$message->recipients} students were written to.",
                );
        }
        $scripts = Script::query()->where('assignment_id', $assignment->id)
            ->whereIn('student_id', array_slice($students, 0, self::SHOWN))->with('student')->get();

        return view('collect.write', [
            'assignment' => $assignment, 'cohort' => $cohort, 'students' => count($students),
            'subject' => $fields['subject'], 'body' => $fields['body'],
            'changed' => $request->boolean('send'), 'sent' => collect(),
            'previews' => $scripts->map(function (Script $script) use ($assignment, $fields): array {
                $values = StudentPlaceholders::of($assignment, $script);

                return [
                    'to' => "{$script->student->name} <{$script->student->email}>",
                    'subject' => Placeholders::fill($fields['subject'], $values),
                    'body' => Placeholders::fill($fields['body'], $values),
                ];
            }),
        ]);
    }
}
