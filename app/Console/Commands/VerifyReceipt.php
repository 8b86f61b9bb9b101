<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\Receipts;
use Illuminate\Console\Command;
use YoungHarbor\Core\Collect\Receipt;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Proves that a file is the one handed in: the receipt's seal is ours, and the file's SHA-256 stands in the receipt.
 * Needs the key of the installation, and no database.
 */
final class VerifyReceipt extends Command
{
    protected $signature = 'receipt:verify {file : the file} {receipt : the receipt or the mail it came in, as a text file; - for standard input}';

    protected $description = 'Prove that a file is the one a receipt was given for';

    public function handle(Receipts $receipts): int
    {
        $file = (string) $this->argument('file');
        $from = (string) $this->argument('receipt');
        foreach (array_filter([$file, $from === '-' ? null : $from]) as $path) {
            if (! is_file($path)) {
                return $this->refuse("{$path}: there is no such file");
            }
        }
        try {
            [$receipt, $seal] = Receipt::parse(
                mb_scrub((string) file_get_contents($from === '-' ? 'php://stdin' : $from))
            );
        } catch (InvalidInput $e) {
            return $this->refuse(...array_map(fn (Fault $fault) => "{$fault->place}: {$fault->what}", $e->faults));
        }
        if (! $receipts->holds($receipt, $seal)) {
            return $this->refuse('Seal: this receipt was not given by this installation, or was changed');
        }
        $place = $receipt->place((string) hash_file('sha256', $file));
        if ($place === null) {
            return $this->refuse('SHA-256: the receipt holds, and this file is not one of those it was given for');
        }
        $this->output->writeln(
            json_encode(
                [
                    'receipt' => $receipt->id, 'received' => $receipt->received, 'file' => $place,
                    'files' => count($receipt->sums), 'sha256' => $receipt->sums[$place - 1], 'holds' => true,
                ],
                JSON_THROW_ON_ERROR,
            )
        );

        return self::SUCCESS;
    }

    private function refuse(string ...$why): int
    {
        fwrite(STDERR, implode("\n", $why)."\n");

        return self::FAILURE;
    }
}
