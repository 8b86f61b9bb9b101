<?php

declare(strict_types=1);

namespace Tests\Core;

use Dotenv\Dotenv;
use PHPUnit\Framework\TestCase;

/**
 * What ships for running it for real: every setting is explained, what nginx reads it can read, and what is started
 * exists.
 */
final class DeployTest extends TestCase
{
    private function file(string $path): string
    {
        return (string) file_get_contents(__DIR__."/../../{$path}");
    }

    public function test_every_setting_that_is_read_is_explained_and_none_that_is_not(): void
    {
        $read = [];
        foreach (glob(__DIR__.'/../../config/*.php') ?: [] as $path) {
            preg_match_all("/env\('([A-Z_]+)'/", (string) file_get_contents($path), $found);
            array_push($read, ...$found[1]);
        }
        preg_match_all('/^#?([A-Z_]+)=/m', $this->file('deploy/harbor.env.example'), $explained);
        $read = array_unique($read);
        sort($read);
        sort($explained[1]);
        self::assertSame(array_values($read), $explained[1]);
    }

    public function test_nginx_reads_its_configuration(): void
    {
        $folder = sys_get_temp_dir().'/deploy-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $key = openssl_pkey_new(['private_key_bits' => 2048]);
        self::assertNotFalse($key);
        $request = openssl_csr_new(['commonName' => 'marks.example.org'], $key);
        self::assertNotFalse($request);
        self::assertNotFalse($certificate = openssl_csr_sign($request, null, $key, 1));
        openssl_x509_export_to_file($certificate, "{$folder}/fullchain.pem");
        openssl_pkey_export_to_file($key, "{$folder}/key.pem");
        $site = str_replace('/etc/young-harbor/tls/', "{$folder}/", $this->file('deploy/nginx/young-harbor.conf'));
        // Ports of machines that run the checks are not ours to take.
        $site = preg_replace(['/listen 80;/', '/listen 443 ssl;/', '/listen \[::\]:\d+( ssl)?;/'], ['listen 127.0.0.1:8980;', 'listen 127.0.0.1:8943 ssl;', ''], $site);
        file_put_contents(
            "{$folder}/nginx.conf",
            "pid {$folder}/pid; error_log stderr; events {} http { access_log off; client_body_temp_path {$folder}/a; proxy_temp_path {$folder}/b; fastcgi_temp_path {$folder}/c; uwsgi_temp_path {$folder}/d; scgi_temp_path {$folder}/e; {$site} }",
        );
        copy('/etc/nginx/fastcgi_params', "{$folder}/fastcgi_params");
        exec('PATH="$PATH:/usr/sbin" nginx -t -c '.escapeshellarg("{$folder}/nginx.conf").' 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        array_map(unlink(...), array_filter(glob("{$folder}/*") ?: [], is_file(...)));
    }

    /**
     * @param  list<string>  $arguments
     * @return array{int, string}
     */
    private function shell(string $function, array $arguments): array
    {
        $command = '. '.escapeshellarg(__DIR__.'/../../bin/lib/settings.sh')."; {$function} "
            .implode(' ', array_map(escapeshellarg(...), $arguments));
        exec('bash -c '.escapeshellarg($command).' 2>&1', $said, $code);

        return [$code, implode("\n", $said)];
    }

    public function test_settings_are_written_as_they_were_given_whatever_signs_are_in_them(): void
    {
        foreach (['Arts & Crafts | Evening', "St Brigid's #1 College", 'Höfn; rm -rf /', '100 % = all'] as $name) {
            [$code, $file] = $this->shell('settings_of', [
                __DIR__.'/../../deploy/harbor.env.example', 'base64:ab+/c=', 'marks.merrow.example', 'a&b|c@merrow.example', $name,
                'Europe/London', 'pass-word_&|1',
            ]);
            self::assertSame(0, $code, $file);
            // Read as the application reads it.
            $read = Dotenv::parse($file);
            self::assertSame([
                'base64:ab+/c=', 'https://marks.merrow.example', 'a&b|c@merrow.example', $name, 'Europe/London', 'pass-word_&|1',
            ], array_map(fn (string $key) => $read[$key], [
                'APP_KEY', 'APP_URL', 'MAIL_FROM_ADDRESS', 'HARBOR_INSTITUTION', 'HARBOR_TIMEZONE', 'DB_PASSWORD',
            ]));
            self::assertSame('false', $read['APP_DEBUG']);
        }
    }

    public function test_what_cannot_be_a_setting_is_refused_in_words(): void
    {
        $fault = fn (string ...$given): string => $this->shell('settings_fault', array_values($given))[1];
        self::assertSame('', $fault('marks.merrow.example', 'marks@merrow.example', 'Arts & Crafts', 'Europe/London'));
        foreach ([
            ['', 'marks@merrow.example', '', '', 'Give --domain'], ['a b', 'm@x.example', '', '', 'no name of a host'],
            ['x.example;reboot', 'm@x.example', '', '', 'no name of a host'], ['x.example', 'nobody', '', '', 'no mail address'],
            ['x.example', 'a"b@x.example', '', '', 'no mail address'], ['x.example', '$(id)@x.example', '', '', 'no mail address'],
            ['x.example', 'm@x.example', 'The $HOME', '', 'cannot hold'], ['x.example', 'm@x.example', 'A "B"', '', 'cannot hold'],
            ['x.example', 'm@x.example', "A\nAPP_DEBUG=true", '', 'line breaks'],
            ['x.example', 'm@x.example', '', 'Europe/../../etc', 'no time zone'], ['x.example', 'm@x.example', '', 'Europe/Atlantis', 'no time zone'],
        ] as [$domain, $mail, $name, $zone, $why]) {
            self::assertStringContainsString($why, $fault($domain, $mail, $name, $zone));
        }
    }

    /** Only where it can run: it says what it would do on such a machine, and does nothing. */
    public function test_the_installer_says_what_it_would_change_and_changes_nothing(): void
    {
        $release = (string) @file_get_contents('/etc/os-release');
        if (preg_match('/^ID=debian$/m', $release) !== 1 || preg_match('/^VERSION_ID="1[23]"$/m', $release) !== 1 || posix_getuid() !== 0) {
            self::markTestSkipped('This is no Debian 12 or 13, or not root.');
        }
        $install = escapeshellarg(__DIR__.'/../../bin/install');
        exec("{$install} --domain=marks.merrow.example --mail-from=marks@merrow.example --only-say 2>&1", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        self::assertStringContainsString('Nothing else is touched, and nothing is deleted.', implode("\n", $said));
        self::assertDirectoryDoesNotExist('/etc/young-harbor');
        foreach (['--domain=x.example', '--domain=x.example --mail-from=m@x.example', '--surprise', ''] as $options) {
            $said = [];
            exec("{$install} {$options} 2>&1 </dev/null", $said, $code);
            self::assertSame(1, $code, implode("\n", $said));
            self::assertStringContainsString('Nothing was changed.', implode("\n", $said));
        }
        self::assertDirectoryDoesNotExist('/srv/young-harbor');
    }

    public function test_units_start_what_there_is_with_what_it_takes(): void
    {
        $commands = '';
        foreach (glob(__DIR__.'/../../deploy/systemd/*') ?: [] as $path) {
            $unit = (string) file_get_contents($path);
            self::assertMatchesRegularExpression('/^\[Unit\]\nDescription=Young Harbor/m', $unit, $path);
            $commands .= preg_match('/^ExecStart=(.+)$/m', $unit, $found) === 1 ? "{$found[1]}\n" : '';
            // The folders a unit may write to are those the settings name.
            preg_match('/^ReadWritePaths=(.+)$/m', $unit, $paths);
            foreach (array_filter(explode(' ', $paths[1] ?? '')) as $folder) {
                self::assertMatchesRegularExpression('~^/(var/lib|var/backups|srv)/young-harbor~', $folder);
            }
        }
        self::assertStringContainsString('artisan queue:work --queue=soon,default,low --tries=3 --timeout=300', $commands);
        self::assertStringContainsString('artisan schedule:work', $commands);
        self::assertStringContainsString('/srv/young-harbor/bin/backup ', $commands);
        self::assertTrue(is_executable(__DIR__.'/../../bin/backup'));
        preg_match("/signature = 'harbor:backup (.+?)';/s", $this->file('app/Console/Commands/Backup.php'), $signature);
        preg_match_all('/ --(\w+)=/', $commands, $options);
        foreach (['key', 'keep'] as $option) {
            self::assertContains($option, $options[1]);
            self::assertStringContainsString("{--{$option}=", $signature[1] ?? '');
        }
        // A worker is given more time to end than its longest job takes, and a job is taken for lost only after that.
        preg_match('/TimeoutStopSec=(\d+)/', $this->file('deploy/systemd/young-harbor-worker@.service'), $stop);
        preg_match("/'retry_after' => (\d+)/", $this->file('config/queue.php'), $lost);
        self::assertGreaterThan(300, (int) $stop[1]);
        self::assertGreaterThan((int) $stop[1], (int) $lost[1]);
    }

    public function test_php_takes_what_the_application_lets_people_send(): void
    {
        $pool = $this->file('deploy/php/young-harbor.conf');
        preg_match("/'max_megabytes' => (\d+)/", $this->file('config/harbor.php'), $most);
        preg_match('/upload_max_filesize\] = (\d+)M/', $pool, $file);
        preg_match('/post_max_size\] = (\d+)M/', $pool, $post);
        preg_match('/client_max_body_size (\d+)m/', $this->file('deploy/nginx/young-harbor.conf'), $body);
        self::assertGreaterThanOrEqual((int) $most[1], (int) $file[1]);
        self::assertGreaterThan((int) $file[1], (int) $post[1]);
        self::assertSame((int) $post[1], (int) $body[1]);
        self::assertStringContainsString('php_admin_value[max_input_vars] = 20000', $pool);
    }
}
