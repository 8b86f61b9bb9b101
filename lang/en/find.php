<?php

declare(strict_types=1);

return [
    'title' => 'Find',
    'field' => 'Find a module, an assignment, a rubric, a person or a script code',
    'key' => 'find',
    'modules' => 'Modules', 'assignments' => 'Assignments', 'rubrics' => 'Rubrics', 'people' => 'People',
    'scripts' => 'Scripts',
    'more' => 'More are found: write more of it.',
    'none' => 'Nothing is found for “:words”',
    'none_why' => 'Only what is open to you is looked through: part of a title, a code or a name, the beginning of a script code, a whole number or mail address.',
    'few' => 'Write two letters or more',
    'apart' => 'A name leads to a person and a code to a script: neither leads to the other.',
];
