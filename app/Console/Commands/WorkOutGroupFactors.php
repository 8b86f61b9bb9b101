<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\OptionsAsNumbers;
use App\Console\TableFiles;
use Brick\Math\BigRational;
use Illuminate\Console\Command;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Formats\RatingsCsv;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Peers\GroupFactors;

/**
 * Works out how much members of groups contributed, from what they gave each other. Needs neither database nor web
 * server.
 */
final class WorkOutGroupFactors extends Command
{
    use AnswersInJson;
    use OptionsAsNumbers;

    protected $signature = 'group:factors {csv : group,rater,rated,points, or - for standard input}
        {--weight=0.5 : how far the factor moves the mark, 0 to 1} {--self=in : whether own ratings count: in or out}
        {--missing=even : who rated nobody: even, or leave for no rater}';

    protected $description = 'Work out factors of contribution from what members of groups gave each other';

    public function handle(TableFiles $files): int
    {
        return $this->answer(function () use ($files): array {
            $in = new Document;
            $weight = $this->decimalOption('weight', $in, 0, 1)->toBigRational();
            foreach (['self' => ['in', 'out'], 'missing' => ['even', 'leave']] as $name => $known) {
                in_array($this->option($name), $known, true)
                    || $in->fault("--{$name}", 'must be '.implode(' or ', $known));
            }
            $in->throwFaults();
            $groups = [];
            foreach (RatingsCsv::read($files->text((string) $this->argument('csv'), 'csv')) as $group => $ratings) {
                $factors = GroupFactors::of(
                    $ratings, $this->option('self') === 'in', $this->option('missing') === 'even',
                );
                $groups[] = ['group' => (string) $group, 'members' => array_map(
                    fn (string|int $id, BigRational $factor) => [
                        'id' => (string) $id, 'factor' => Figure::cut($factor),
                        'multiplier' => Figure::cut(GroupFactors::multiplier($factor, $weight)),
                    ], array_keys($factors), $factors,
                )];
            }

            return ['groups' => $groups];
        });
    }
}
