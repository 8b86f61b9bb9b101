<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Extraction\Cage;
use App\Extraction\Pages\Sight;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Throwable;

/**
 * Whether the application is up, for whoever watches it: a line a part, in words. 200 when it can be used, 503 when it
 * cannot. What only makes it less safe or less complete is said and does not make it down.
 */
final class HealthController extends Controller
{
    public function __invoke(): Response
    {
        $parts = [
            'database' => $this->tried(fn () => DB::connection()->getPdo()->query('SELECT 1')),
            'files' => $this->tried(function (): void {
                $probe = 'probe/'.Str::uuid()->toString();
                Storage::put($probe, 'x') && Storage::delete($probe) || throw new \RuntimeException('not writable');
            }),
            'application' => $this->tried(fn () => Event::dispatch(new DiagnosingHealth)),
        ];
        $up = ! in_array(false, $parts, true);
        $lines = array_map(
            fn (string $part, bool $works) => "{$part}: ".($works ? 'works' : 'does not work'), array_keys($parts),
            $parts,
        );
        $lines[] = 'readers: '.(
            Cage::holds()
                ? 'caged (bubblewrap)'
                : 'without a cage: bubblewrap is not installed or the kernel refuses it'
        );
        $lines[] = 'pictures: '.(
            Sight::isThere()
                ? 'looked through for names (tesseract)'
                : 'not looked through for names: tesseract is not installed'
        );

        return response(
            ($up ? 'up' : 'down')."\n".implode("\n", $lines)."\n", $up ? 200 : 503,
            ['Content-Type' => 'text/plain; charset=utf-8', 'Cache-Control' => 'no-store'],
        );
    }

    private function tried(callable $check): bool
    {
        try {
            $check();

            return true;
        } catch (Throwable $e) {
            report($e);

            return false;
        }
    }
}
