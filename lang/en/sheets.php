<?php

declare(strict_types=1);

return [
    'title' => 'Reflections',
    'none' => 'No reflection yet',
    'none_body' => 'A reflection is a few questions at the end of a week or after a placement. Nothing is handed in and nothing marked; who writes is counted.',
    'none_student' => 'When one is asked for, it is listed here and on Today.',
    'made' => 'Planned. Students are asked once you say so.', 'saved' => 'Saved.', 'opened' => 'Students are asked now.',
    'fixed' => 'Someone has written already, so the questions and who reads it stay. Title, time and number of words can still be changed. Nothing was saved.',
    'due_is_over' => 'The time must lie ahead.',
    'done' => 'Done. You can change it as long as you like; what counts is when it was first done.',
    'kept' => '{1} Kept. One more word, and it counts as done.|[2,*] Kept. :count more words, and it counts as done.',
    'who' => ['0' => 'Your coordinators read it, with your name.', '1' => 'Your coordinators and everyone who marks in this module read it, with your name.'],
    'not_done_yet' => 'Until it is done nobody but you reads it.',
    'field' => ['prompts' => 'The questions', 'words' => 'The least number of words', 'team_reads' => 'Who reads it'],
    'words_title' => 'Words that many have in common',
    'words_say' => 'By how many people wrote them, three or more; words of little meaning and those of the questions are left out. It says what they wrote about, not what they said of it.',
    'words_few' => 'No word yet that three people wrote.',
    'today' => ['write' => 'A reflection to write', 'late' => 'A reflection to write; it was due', 'go' => 'Write it'],
];
