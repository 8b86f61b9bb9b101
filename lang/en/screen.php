<?php

declare(strict_types=1);

return [
    // When markers see the overlap report of a script.
    'seen' => [
        'start' => 'Markers see it from the start',
        'after' => 'Markers see it once their mark is done',
        'never' => 'The coordinator alone',
    ],
];
