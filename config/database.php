<?php

declare(strict_types=1);

return [
    'default' => env('DB_CONNECTION', 'mariadb'),
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'url' => env('DB_URL'),
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3306'),
            'database' => env('DB_DATABASE', 'harbor'),
            'username' => env('DB_USERNAME', 'root'),
            'password' => env('DB_PASSWORD', ''),
            'unix_socket' => env('DB_SOCKET', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'prefix' => '',
            'strict' => true,
            'options' => [
                // One journey a query in place of two (prepare, execute): PHP puts the values in, quoted for utf8mb4.
                PDO::ATTR_EMULATE_PREPARES => true,
                PDO::MYSQL_ATTR_MULTI_STATEMENTS => false,
            ] + array_filter([
                PDO::MYSQL_ATTR_SSL_CA => env('MYSQL_ATTR_SSL_CA'),
                // From 11.6 on MariaDB answers a locking read of a row that changed since the transaction began with an
                // error; here such a read means "as it is now", as it does before. Older servers skip the comment.
                PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION sql_mode = @@sql_mode /*M!110600 , SESSION innodb_snapshot_isolation = OFF */',
            ]),
        ],
    ],
];
