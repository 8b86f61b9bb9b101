<?php

declare(strict_types=1);

return [
    'title' => 'Replies',
    'reply' => 'Reply',
    'reply_whole' => 'Say something about the feedback as a whole',
    'sent' => 'Sent. You are told when your marker answers.',
    'answered' => 'Answered. The student is told.',
    'closed' => 'Closed: nothing more is added.',
    'opened' => 'Open again.',
    'rated' => 'Thank you. Markers see such numbers once five students or more have said so.',
    'hidden_names' => 'Your marker reads it without your name.',
    'file' => 'A file or a recording, if it helps',
    'file_waits' => 'What you attach waits until names are revealed: files and voices tell who you are.',
    'attached_waits' => 'Something attached waits here until names are revealed.',
    'useful' => 'Was it useful?',
    'yes' => 'useful',
    'no' => 'not useful',
    'said_yes' => 'You found it useful.',
    'said_no' => 'You did not find it useful.',
    'you' => 'You',
    'marker' => 'Your marker',
    'student' => 'The student',
    'team' => 'Someone else of the team',
    'closed_here' => 'Closed. What was said stays to be read.',
    'about' => [
        'whole' => 'the feedback as a whole',
        'criterion' => 'a criterion',
        'comment' => 'a comment',
    ],
    'none' => 'When a student replies to a comment, it is listed here and on Today.',
    'new' => '{1} 1 new|[2,*] :count new',
    'link' => '{0} replies|{1} replies, 1 new|[2,*] replies, :count new',
    'useful_of' => 'Of :rated of your comments that :students students rated, :useful were found useful. It tells what students found useful to read, not what they learned from it.',
    'useful_few' => 'How many found your comments useful stands here once five students have said so.',
];
