<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operations\Readiness;
use Illuminate\Console\Command;

/**
 * Says what stands in the way of real use, and what to do about it. Exit 1 while anything does.
 */
final class CheckReadiness extends Command
{
    protected $signature = 'harbor:check {--all : also what is as it should be}';

    protected $description = 'Say what stands in the way of real use';

    public function handle(Readiness $readiness): int
    {
        $findings = $readiness->findings();
        foreach ($findings as [$good, $what, $says]) {
            if ($good !== true || (bool) $this->option('all')) {
                $this->line(match ($good) {
                    true => "<info>ok</info>         {$what}", false => "<error>NOT READY</error>  {$what}: {$says}",
                    null => "<comment>look</comment>       {$what}: {$says}",
                });
            }
        }
        $bad = count(array_filter($findings, fn (array $one) => $one[0] === false));
        $look = count(array_filter($findings, fn (array $one) => $one[0] === null));
        $this->line(trim(
            ($bad === 0 ? __('operations.check.ready') : trans_choice('operations.check.not_ready', $bad))
            .($look === 0 ? '' : ' '.trans_choice('operations.check.look', $look)),
        ));

        return $bad === 0 ? self::SUCCESS : self::FAILURE;
    }
}
