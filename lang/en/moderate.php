<?php

declare(strict_types=1);

return [
    'why_open' => [
        'marks-missing' => 'not every mark is done',
        'beyond-tolerance' => ':apart apart, more than the tolerance of :limit',
        'across-pass-line' => 'on different sides of the pass line at :limit',
        'rule-needs-more' => 'the rule needs more marks than this script has',
        'reason-missing' => 'whoever decides across the pass line at :limit has to say why',
    ],
];
