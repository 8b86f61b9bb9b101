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
];
