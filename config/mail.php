<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        'smtp' => [
            'transport' => 'smtp',
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 2510),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
            // The shipped mail sink speaks plain SMTP on loopback; elsewhere leave this on.
            'auto_tls' => env('MAIL_HOST', '127.0.0.1') !== '127.0.0.1',
        ],
        'log' => ['transport' => 'log'],
        'array' => ['transport' => 'array'],
    ],
    'from' => [
        'address' => env('MAIL_FROM_ADDRESS', 'marks@merrow.example'),
        'name' => env('MAIL_FROM_NAME', 'Young Harbor'),
    ],
];
