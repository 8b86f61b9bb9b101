<?php

declare(strict_types=1);

return [
    'title' => 'Copy for another year',
    'why' => 'a new module with the same rubrics, assignments and settings',
    'what' => 'What is copied: rubrics (their newest version), assignments with dates moved and what students rate in them, reflections, the team’s comment bank, grade bands, baselines, how the module mark is made.',
    'what_not' => 'What is not: people, work, marks, results, conversations, closure days, the archive. No assignment is open to students until you open it.',
    'weeks' => 'Dates move by, weeks',
    'weeks_hint' => '52 keeps the day of the week. Times of the day stay, over changes of the clock too.',
    'do' => 'Copy it',
    'said' => 'Copied. What needs a decision is listed on this page.',
    'decide' => 'To decide in this copy',
    'from' => 'copied from :module',
    'no_student' => 'no students yet', 'no_tutor' => 'no markers yet', 'no_closure_days' => 'no closure days yet: they are not copied',
    'not_open' => 'not open to students yet',
    'due_past' => 'its due time is past, :day', 'closes_past' => 'it closes in the past, :day',
    'due_weekend' => 'due on a weekend, :day', 'closes_weekend' => 'it closes on a weekend, :day',
    'due_closed' => 'due on a closure day, :day', 'closes_closed' => 'it closes on a closure day, :day',
    'no_rubric' => 'it has no rubric',
    'rubric_elsewhere' => 'its rubric “:rubric” belongs to another module',
];
