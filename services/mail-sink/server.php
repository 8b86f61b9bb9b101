<?php

declare(strict_types=1);

/*
 * A mail sink: speaks enough SMTP (RFC 5321) on loopback to take mail, and keeps each message as a file. Nothing leaves
 * the machine.    php services/mail-sink/server.php PORT FOLDER
 */

[$port, $folder] = [(int) ($argv[1] ?? 2510), (string) ($argv[2] ?? sys_get_temp_dir())];
is_dir($folder) || mkdir($folder, 0700, true);
$server = stream_socket_server("tcp://127.0.0.1:{$port}", $code, $message) ?: exit(
    "The mail sink cannot listen on {$port}: {$message}\n"
);
stream_set_blocking($server, false);

const MOST = 10_000_000;

/** @var array<int, array{stream: resource, buffer: string, data: string|null}> $clients */
$clients = [];
$count = 0;

while (true) {
    $read = [$server, ...array_column($clients, 'stream')];
    $write = $except = null;
    if (stream_select($read, $write, $except, 5) === false) {
        break;
    }
    foreach ($read as $stream) {
        if ($stream === $server) {
            $new = stream_socket_accept($server, 0);
            if ($new !== false) {
                stream_set_blocking($new, false);
                $clients[(int) $new] = ['stream' => $new, 'buffer' => '', 'data' => null];
                fwrite($new, "220 mail sink\r\n");
            }

            continue;
        }
        $id = (int) $stream;
        $piece = fread($stream, 65536);
        if ($piece === '' || $piece === false) {
            fclose($stream);
            unset($clients[$id]);

            continue;
        }
        $clients[$id]['buffer'] .= $piece;
        while (isset($clients[$id]) && ($end = strpos($clients[$id]['buffer'], "\r\n")) !== false) {
            $line = substr($clients[$id]['buffer'], 0, $end);
            $clients[$id]['buffer'] = substr($clients[$id]['buffer'], $end + 2);
            if (($clients[$id]['data'] ?? null) !== null) {
                if ($line === '.') {
                    $name = sprintf('%s/%d-%05d.eml', $folder, (int) (microtime(true) * 1e6), ++$count);
                    file_put_contents($name.'.part', $clients[$id]['data']);
                    rename($name.'.part', $name);
                    $clients[$id]['data'] = null;
                    fwrite($stream, "250 kept\r\n");
                } elseif (strlen($clients[$id]['data']) < MOST) {
                    $clients[$id]['data'] .= (str_starts_with($line, '..') ? substr($line, 1) : $line)."\r\n";
                }

                continue;
            }
            $verb = strtoupper(strtok($line, ' :') ?: '');
            if ($verb === 'QUIT') {
                fwrite($stream, "221 bye\r\n");
                fclose($stream);
                unset($clients[$id]);
            } elseif ($verb === 'DATA') {
                $clients[$id]['data'] = '';
                fwrite($stream, "354 go on\r\n");
            } else {
                fwrite(
                    $stream,
                    in_array($verb, ['HELO', 'EHLO', 'MAIL', 'RCPT', 'RSET', 'NOOP'], true)
                        ? "250 ok\r\n"
                        : "502 not here\r\n",
                );
            }
        }
    }
}
