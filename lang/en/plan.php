<?php

declare(strict_types=1);

return [
    // What marks within the tolerance settle to.
    'rule' => [
        'mean' => 'the mean',
        'first' => 'the first mark',
        'higher' => 'the higher mark',
        'median' => 'the median',
        'two-closest' => 'the mean of the two closest',
        'third-decides' => 'what the third marker decides',
        'peers' => 'the median of the peers',
    ],
    'rule_choice' => [
        'mean' => 'The mean of both',
        'first' => 'The first mark stands',
        'higher' => 'The higher mark',
        'median' => 'The median of three',
        'two-closest' => 'The mean of the two closest',
        'third-decides' => 'The third marker decides',
        'peers' => 'The median of the peers’ marks',
    ],
    'handin_by' => [
        'each' => 'each student',
        'group' => 'a group, with one mark',
        'group-one-by-one' => 'a group, its members marked one by one',
    ],
    'rubric_state' => [
        'working-copy' => 'working copy',
        'ready' => 'ready',
        'retired' => 'retired',
    ],
    // How a mark at a boundary finds its band.
    'boundary' => [
        'as-it-stands' => 'A mark is in the highest band it reaches as it stands: 69.5 is not 70.',
        'whole-marks' => 'A mark is rounded to a whole number, half up, to find its band: 69.5 reaches 70, 69.4 does not.',
    ],
    'rubric_closed' => 'This rubric is :state; a :state rubric does not change. Open it for changes to go on.',
];
