<?php

declare(strict_types=1);

namespace App\Operations;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * What stands in the way of real use, and what is worth a look: settings, versions, what is installed. Each with what
 * to do about it.
 */
final class Readiness
{
    private const PROGRAMS = [
        'pandoc' => 'pandoc', 'pdftotext' => 'poppler-utils', 'pdftoppm' => 'poppler-utils', 'qpdf' => 'qpdf',
        'cjpeg' => 'libjpeg-turbo-progs', 'zip' => 'zip', 'prlimit' => 'util-linux', 'mariadb-dump' => 'mariadb-client',
    ];

    public function __construct(private readonly Health $health, private readonly Migrations $migrations)
    {
    }

    /**
     * @return list<array{bool|null, string, string}> true: as it should be, false: in the way, null: worth a look; what; what it is, or what to do
     */
    public function findings(): array
    {
        return [...$this->settings(), ...$this->machine(), ...$this->running()];
    }

    /**
     * @return list<array{bool|null, string, string}>
     */
    private function settings(): array
    {
        $url = (string) config('app.url');
        $proxies = (array) config('trustedproxy.proxies');
        $files = (string) config('harbor.files');

        $mail = (string) config('mail.from.address');
        $key = (string) base64_decode((string) preg_replace('/^base64:/', '', (string) config('app.key')));
        $cookies = config('session.http_only') === true
            && in_array(config('session.same_site'), ['lax', 'strict'], true);
        $metrics = (string) config('harbor.metrics_token');
        $everybody = array_intersect(['*', '**', '0.0.0.0/0', '::/0'], $proxies);

        return [
            [config('app.env') === 'production', 'APP_ENV', 'is '.config('app.env').'; set it to production'],
            [
                config('app.debug') === false, 'APP_DEBUG',
                'shows the inside of the application to whoever meets an error: set it to false',
            ],
            [strlen($key) === 32, 'APP_KEY', 'is no key of 32 bytes: php artisan key:generate --show'],
            [
                config('harbor.demo') === false, 'HARBOR_DEMO',
                'opens a page of demo sign-ins and everybody’s mail: leave it unset',
            ],
            [str_starts_with($url, 'https://'), 'APP_URL', "is {$url}: people’s passwords need https"],
            [
                config('session.secure') === true, 'SESSION_SECURE_COOKIE',
                'set it to true, so that sessions go over https alone',
            ],
            [$cookies, 'session cookies', 'must be HttpOnly and SameSite'],
            [
                config('session.driver') === 'database', 'SESSION_DRIVER',
                'is '.config('session.driver').': with database people see where they are signed in',
            ],
            [
                ! in_array(config('queue.default'), ['sync', 'null'], true), 'QUEUE_CONNECTION',
                'is '.config('queue.default').': files would be read while people wait; use database',
            ],
            [
                ! in_array(config('mail.default'), ['log', 'array', 'sink'], true), 'MAIL_MAILER',
                'is '.config('mail.default').': no mail leaves this machine; use smtp',
            ],
            [
                filter_var($mail, FILTER_VALIDATE_EMAIL) !== false && ! str_ends_with($mail, '.example'),
                'MAIL_FROM_ADDRESS', "is {$mail}: people cannot answer it",
            ],
            [
                $everybody === [], 'HARBOR_TRUSTED_PROXIES',
                'believes everybody about the visitor’s address: name the proxies',
            ],
            [
                ! str_starts_with((string) realpath($files), public_path()), 'HARBOR_FILES',
                "is {$files}, below the web server’s folder: anyone could fetch what was handed in",
            ],
            [
                $metrics === '' || strlen($metrics) >= 20 ? true : null, 'HARBOR_METRICS_TOKEN',
                'is short: twenty letters and more',
            ],
        ];
    }

    /**
     * @return list<array{bool|null, string, string}>
     */
    private function machine(): array
    {
        $found = [
            [ini_get('opcache.enable') === '1' || PHP_SAPI === 'cli' ? true : null, 'opcache', 'is off: pages take several times as long'],
        ];
        foreach (self::PROGRAMS as $program => $package) {
            $found[] = [self::has($program), $program, "is not installed: apt-get install {$package}"];
        }
        $found[] = [self::has('chromium-headless-shell') || self::has('chromium') ? true : null, 'chromium', 'is not installed: results as PDF are drawn without tags for screen readers'];
        $database = rescue(fn () => (string) DB::scalar('SELECT VERSION()'), '', report: false);
        $found[] = [version_compare((string) preg_replace('/[^0-9.].*$/', '', $database), '10.11', '>='), 'MariaDB', $database === '' ? 'does not answer' : "{$database}; 10.11 or newer"];

        return $found;
    }

    /**
     * @return list<array{bool|null, string, string}>
     */
    private function running(): array
    {
        $found = array_map(fn (Part $part) => [
            match ($part->state) {
                PartState::Works => true, PartState::Look => null, PartState::Down => false,
            }, __("operations.parts.{$part->name}"), $part->says,
        ], $this->health->parts());
        if (Health::isUp($this->health->parts())) {
            $pending = $this->migrations->pending();
            $found[] = [$pending === 0, 'database schema', trans_choice('operations.versions.pending', $pending)];
            $admins = User::query()->where('is_admin', true)->whereNull('closed_at')->get();
            $found[] = [$admins->isNotEmpty(), 'administrator', 'there is none: php artisan harbor:administrator MAIL --name=NAME'];
            $found[] = [
                $admins->every(fn (User $one) => $one->hasSecondStep()) ? true : null, 'second step',
                'not every administrator has one for signing in',
            ];
        }

        return $found;
    }

    private static function has(string $program): bool
    {
        foreach ([...explode(':', (string) getenv('PATH')), '/usr/bin', '/usr/sbin'] as $folder) {
            if ($folder !== '' && is_executable("{$folder}/{$program}")) {
                return true;
            }
        }

        return false;
    }
}
