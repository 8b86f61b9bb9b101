<?php

declare(strict_types=1);

return [
    'connections' => [
        'database' => [
            'driver' => 'database',
            'connection' => null,
            'table' => 'jobs',
            'queue' => 'default',
            // Seconds until a job that was taken is taken for lost: more than the longest a worker lets one run (300).
            'retry_after' => 360,
            'after_commit' => false,
        ],
    ],
];
