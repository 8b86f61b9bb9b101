<?php

declare(strict_types=1);

return [
    'state' => [
        'in' => 'handed in, no result yet', 'late' => 'handed in late', 'released' => 'result is out',
        'unread' => 'result not opened', 'held' => 'held', 'not-in' => 'not handed in', 'overdue' => 'overdue',
        'decided' => 'decided for one student',
    ],
    'needs_me' => 'Needs a decision of mine',
    'found' => '{0} nobody|{1} 1 student|[2,*] :count students',
    'nobody' => 'Nobody is as you asked for. Choose otherwise above.',
    'no_students' => 'Add students under People.',
    'waits' => 'What waits',
    'waits_share' => '{1} 1 to share out|[2,*] :count to share out',
    'waits_mark' => '{1} 1 to mark|[2,*] :count to mark',
    'waits_settle' => '{1} 1 to settle|[2,*] :count to settle',
    'waits_sign' => '{1} 1 signature missing|[2,*] :count signatures missing',
    'waits_release' => '{1} 1 ready to release|[2,*] :count ready to release',
    'waits_held' => '{1} 1 held|[2,*] :count held',
    'not_passed' => 'not passed',
    'foot' => 'Before names are revealed this shows what is handed in, late, held and released: marks under way stand under script codes.',
    'foot_revealed' => 'Names are revealed: a cell leads to the result, the marks, or what was decided for its student.',
    'lie' => 'How marks lie',
    'lie_of' => 'each assignment and the module, beside earlier years',
    'lie_few' => 'Nothing is shown of fewer than :least results.',
    'results' => 'Results', 'mean' => 'Mean', 'sd' => 'Spread',
    'lie_what' => 'Spread: the standard deviation. It does not say how hard the work was or who marked it.',
    'lie_none' => 'No mark is released yet.',
    'take_hint' => 'In UTF-8. A cell that a spreadsheet would take for a formula has an apostrophe before it. What is taken away is written in the logbook.',
    'oneroster' => 'What was released, as the files of OneRoster 1.2: school year, assignments as line items, results, grade bands as score scales.',
    'take' => 'Download the grade book',
    'column' => [
        'name' => 'name', 'number' => 'number', 'candidate' => 'candidate number', 'mail' => 'mail', 'section' => 'section',
        'mark' => 'mark of each assignment', 'band' => 'band of each assignment', 'state' => 'state of each assignment',
        'module' => 'module mark, band, passed, complete',
    ],
];
