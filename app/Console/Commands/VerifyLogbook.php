<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Logbook\Excerpt;
use App\Logbook\Logbook;
use App\Logbook\LogDetail;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\Operation;
use Illuminate\Console\Command;
use InvalidArgumentException;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\ChainFault;
use YoungHarbor\Core\Logbook\Verification;

/**
 * Walks the whole logbook, or an excerpt of it in a file, and says whether every line is as and where it was written.
 * Exit 1 when one is not. An excerpt needs no database.
 */
final class VerifyLogbook extends Command
{
    protected $signature = 'logbook:verify {file? : an excerpt} {--key= : the published public key that an excerpt is checked with}';

    protected $description = 'Check that no line of the logbook was altered, removed, added or moved';

    public function handle(Logbook $logbook): int
    {
        $file = $this->argument('file');
        if (is_string($file)) {
            return $this->excerpt($file);
        }
        $found = Chain::verify(
            LogbookLine::query()->with('words')->orderBy('number')->lazy(500)
                ->map(fn (LogbookLine $line) => $line->toCore()),
            $logbook->head(), $logbook->publicKey(), $this->letGoTo(),
        );

        rescue(fn () => Operation::record('logbook', $found->holds(), ['lines' => $found->lines]));

        return $this->tell($found, trans_choice('logbook.holds', $found->lines, ['lines' => $found->lines]));
    }

    /** Up to which line contents were let go, as the last line says that tells of it. */
    private function letGoTo(): int
    {
        $line = LogbookLine::query()->where('event', LogEvent::LogbookLetGo)->whereNull('content_hash')
            ->orderByDesc('number')->first();

        return (int) ($line?->details[LogDetail::To->value] ?? 0);
    }

    private function excerpt(string $file): int
    {
        try {
            $excerpt = Excerpt::fromJson(
                is_file($file)
                    ? (string) file_get_contents($file)
                    : throw new InvalidArgumentException("There is no file {$file}.")
            );
        } catch (InvalidArgumentException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $key = $this->option('key');
        if (! is_string($key)) {
            $this->error(
                'Give the published public key with --key=…: a key that stands in the file itself proves nothing.'
            );

            return self::FAILURE;
        }
        $found = Chain::verify($excerpt->lines, $excerpt->head, strtolower(trim($key)));

        return $this->tell(
            $found,
            trans_choice(
                'logbook.excerpt_holds', $excerpt->whole(), ['whole' => $excerpt->whole(), 'lines' => $found->lines],
            ),
        );
    }

    private function tell(Verification $found, string $holds): int
    {
        array_map(
            fn (ChainFault $fault) => $this->error(
                __("logbook.faults.{$fault->why->value}", ['line' => $fault->line, 'other' => $fault->other])
            ),
            $found->faults,
        );
        if (! $found->holds()) {
            return self::FAILURE;
        }
        $this->info($holds);

        return self::SUCCESS;
    }
}
