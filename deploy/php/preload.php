<?php

declare(strict_types=1);

/*
 * For those who turn it on in young-harbor.ini: what nearly every page needs, compiled once when php-fpm starts and
 * shared by all its processes: classes of the application and of Laravel, as composer's map names them (files of
 * functions are in no such map). A wider choice was no better.
 */

// A class whose parent is not among them is left to be loaded when it is needed: no fault, and there are some.
error_reporting(E_ALL & ~E_WARNING);
ini_set('memory_limit', '1G'); // while it starts; what is shared has a limit of its own
$top = dirname(__DIR__, 2);
require_once "{$top}/vendor/autoload.php";
// Not what only checks, commands and other databases need.
$without = '~/(Testing|Console|Broadcasting|Redis|Process|Concurrency)/|Test(s|Case)?\b|Postgres|Sqlite|SqlServer|Dynamo|Memcached|/stubs/~';
foreach (require "{$top}/vendor/composer/autoload_classmap.php" as $file) {
    $path = substr((string) realpath((string) $file), strlen($top));
    $isFramework = str_starts_with($path, '/vendor/laravel/framework/src/Illuminate/');
    if (preg_match('~^/(app|core)/~', $path) === 1 || ($isFramework && preg_match($without, $path) !== 1)) {
        opcache_compile_file($top.$path);
    }
}
