<?php

declare(strict_types=1);

use App\Log\QuietJson;

return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        // A line of JSON each, with nobody's words in it. A file a day, the oldest deleted: what went wrong is of use for days, and no log grows for ever.
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/harbor.log'),
            'level' => env('LOG_LEVEL', 'info'),
            'days' => (int) env('HARBOR_LOG_DAYS', 14),
            'permission' => 0600,
            'formatter' => QuietJson::class,
        ],
    ],
];
