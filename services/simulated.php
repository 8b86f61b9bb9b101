<?php

declare(strict_types=1);

/**
 * How a simulated outside service behaves: as it was last told by `GET /behave?as=MODE`, until it is told otherwise.
 *
 * @param  string  $service  its name; each port behaves on its own
 * @param  list<string>  $modes  it knows; of these, `slow` (&seconds=30), `down` and `page` are answered here
 * @return string|null the mode in which it is to answer; null: it has been answered
 */
function behaviour(string $service, array $modes): ?string
{
    $file = sys_get_temp_dir()."/{$service}-".($_SERVER['SERVER_PORT'] ?? '0');
    if (parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH) === '/behave') {
        $as = (string) ($_GET['as'] ?? 'well');
        $as = in_array($as, $modes, true) ? $as : 'well';
        file_put_contents($file, $as.' '.max(1, min(60, (int) ($_GET['seconds'] ?? 30))));
        echo "It behaves {$as} from now on.\n";

        return null;
    }
    [$mode, $seconds] = explode(' ', is_file($file) ? trim((string) file_get_contents($file)) : 'well 30') + ['well', '30'];
    if ($mode === 'slow') {
        sleep((int) $seconds);

        return 'well';
    }
    if ($mode === 'down') {
        http_response_code(503);
        echo 'Down for maintenance.';

        return null;
    }
    if ($mode === 'page') {
        header('Content-Type: text/html');
        echo '<html><body>Please accept our cookies.</body></html>';

        return null;
    }

    return $mode;
}
