<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 480,
    'expire_on_close' => false,
    'encrypt' => true,
    'table' => 'sessions',
    'lottery' => [2, 100],
    'cookie' => 'young_harbor',
    'path' => '/',
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
];
