<?php

declare(strict_types=1);

return [
    'title' => 'What the cohort should hear',
    'few' => 'Fewer than :least results are out',
    'few_why' => 'Nothing is said about fewer than :least students. Come back when more results are out.',
    'of' => 'From the :count results that are out.',
    'criteria' => 'By criterion',
    'mean' => 'Mean', 'sd' => 'Spread',
    'criteria_how' => 'In per cent of what could be reached; spread is the standard deviation. A low mean does not tell whether the work was weak or the criterion hard.',
    'praise' => 'Praised most', 'fix' => 'To be fixed most',
    'by_bank' => 'Comments of the bank', 'by_criterion' => 'Comments by criterion',
    'none' => 'No comment of this kind reached five students.',
    'students' => ':count students', 'nearly_all' => 'all, or nearly all',
    'private' => 'Nothing here tells of fewer than five students: a number stands where it, and what is left of all, is five or more.',
    'message' => 'A message to all of them',
    'message_why' => 'A first draft from the figures. Make it yours; then you see it as the first of them will read it, before anything is sent.',
    'subject' => 'About your work in {assignment}',
    'draft_begin' => "Dear {first name},\n\nI have read what your markers wrote in {assignment}, and this is for all of you.\n\n",
    'draft_well' => 'What went well:',
    'draft_work' => 'What is worth your next hour:',
    'draft_end' => "Your own result, with what your markers wrote to you, is here: {link}\n",
    'preview' => 'Preview before sending',
];
