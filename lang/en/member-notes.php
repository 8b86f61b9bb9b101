<?php

declare(strict_types=1);

return [
    'title' => 'On the work as a whole',
    'own' => 'On your work as a whole',
    'who' => ['0' => 'coordinators alone', '1' => 'the student too'],
    'said' => 'Kept for coordinators.',
    'said_student' => 'Kept; the student is told and reads it on the page of the module.',
    'taken_back' => 'Taken back. The student no longer reads it.',
    'is_back' => 'taken back :at',
    'talks' => '{1} 1 entry of a conversation|[2,*] :count entries of a conversation',
    'take_back' => 'take it back',
];
