<?php

declare(strict_types=1);

namespace App\Extraction;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * Runs a program on what students hand in: in a cage, with limits on time, memory and output, nothing of our
 * environment, and no shell.
 */
final class Child
{
    /** What files that are made here are dated, in seconds since 1970: the first day a ZIP can name. */
    public const DATED = 315532800;

    /** How a program ends that has used up its processor time: by SIGXCPU. */
    private const OUT_OF_TIME = 128 + 24;

    /**
     * @param  list<string>  $command
     * @param  list<string>  $reads  files it can see
     * @param  string|null  $writes  a folder it can write to
     * @return array{exit: int, out: string, error: string}
     *
     * @throws Refusal when a limit is reached
     * @throws ReaderBusy when the machine did not get to it
     */
    public function run(
        array $command, bool $limitAddressSpace, array $reads = [], ?string $writes = null, string $input = '',
    ): array {
        $seconds = (int) config('harbor.extraction.seconds');
        $most = (int) config('harbor.extraction.output_megabytes') * 1_048_576;
        $limits = ['prlimit', "--cpu={$seconds}:".($seconds + 1), '--core=0', '--nofile=256'];
        if ($limitAddressSpace) {
            $limits[] = '--as='.((int) config('harbor.extraction.memory_megabytes') * 1_048_576);
        }
        $cleared = array_fill_keys(array_keys(getenv()), false);
        $environment = [
            ...$cleared, 'PATH' => '/usr/bin:/bin', 'HOME' => '/tmp', 'LC_ALL' => 'C.UTF-8', 'TZ' => 'UTC',
            'SOURCE_DATE_EPOCH' => (string) self::DATED, 'OMP_THREAD_LIMIT' => '1',
        ];
        $process = new Process(
            [...$limits, ...Cage::before($reads, $writes), ...$command], sys_get_temp_dir(), $environment,
            $input === '' ? null : $input, $waits = (float) config('harbor.extraction.waits'),
        );
        $out = '';
        $error = '';
        try {
            $process->start();
            foreach ($process as $type => $piece) {
                if ($type === Process::OUT) {
                    $out .= $piece;
                } else {
                    $error = substr($error.$piece, 0, 4000);
                }
                if (strlen($out) > $most) {
                    $process->stop(0);
                    throw new Refusal(
                        'This file holds far more text than an essay. Hand in the text alone, without attachments or data.'
                    );
                }
            }
        } catch (ProcessTimedOutException) {
            throw new ReaderBusy((int) ceil($waits));
        }
        if ($process->getExitCode() === self::OUT_OF_TIME) {
            throw new Refusal(
                "This file could not be read within {$seconds} seconds of computing. Save it again in your writing program, or as PDF."
            );
        }

        return ['exit' => $process->getExitCode() ?? 1, 'out' => $out, 'error' => $error];
    }
}
