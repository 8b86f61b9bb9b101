<?php

declare(strict_types=1);

return [
    'kind' => [
        'adjusted' => 'Marks added or taken off, for this student alone',
        'feedback-only' => 'Feedback without the mark',
        'exempt' => 'Exempt: this assignment does not count',
        'deferred' => 'Absent with good cause: deferred to a resit',
        'withdrawn' => 'Withdrawn',
        'zero' => 'Nothing handed in: 0',
        'incomplete' => 'Nothing handed in: incomplete',
    ],
    'words' => [
        'adjusted' => 'adjusted by :marks',
        'feedback-only' => 'feedback without the mark',
        'exempt' => 'exempt',
        'deferred' => 'deferred to a resit',
        'withdrawn' => 'withdrawn',
        'zero' => 'nothing handed in: 0',
        'incomplete' => 'incomplete',
    ],
    'to_student' => [
        'exempt' => 'You are exempt from this assignment: it does not count for you.',
        'deferred' => 'This assignment is deferred for you: you take it at the resit.',
        'withdrawn' => 'You are withdrawn from this assignment.',
        'zero' => 'Nothing was handed in. It counts as 0.',
        'incomplete' => 'Nothing was handed in. This assignment is incomplete for you.',
    ],
    'hold' => 'set apart for its student',
    'as_assignment' => 'As the assignment says of someone who hands in nothing.',
    'absent' => '{1} 1 student handed in nothing, and nothing is decided|[2,*] :count students handed in nothing, and nothing is decided',
    'give' => [
        'zero' => 'Give 0 marks',
        'incomplete' => 'Write “incomplete”',
        'deferred' => 'Defer to a resit',
    ],
    'said' => '{1} Decided for 1 student.|[2,*] Decided for :count students.',
];
