<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\OptionsAsNumbers;
use Brick\Math\BigDecimal;
use Illuminate\Console\Command;
use YoungHarbor\Core\Agreement\Power;
use YoungHarbor\Core\Input\Document;

/**
 * Says how likely so many scripts marked twice are to show that a marker differs from the others.
 */
final class ShowPower extends Command
{
    use AnswersInJson;
    use OptionsAsNumbers;

    protected $signature = 'moderation:power {--double= : scripts of one marker that are marked twice, 2 or more}
        {--sd= : standard deviation of the differences of two marks on one script, in marks}
        {--severity= : how far the marker differs from the others, in marks}
        {--alarm=0.05 : how often one is called different who is not}
        {--wish=0.8,0.9 : how often it is to be noticed; the least number of scripts is given for each}';

    protected $description = 'Say what scripts marked twice can show of a marker';

    public function handle(): int
    {
        return $this->answer(function (): array {
            $in = new Document;
            $double = $this->wholeOption('double', $in, 2, Power::MOST);
            $sd = $this->decimalOption('sd', $in, '0.000001', 100);
            $severity = $this->decimalOption('severity', $in, '0.000001', 100);
            $alarm = $this->decimalOption('alarm', $in, '0.000001', '0.999999');
            $wishes = $this->decimalsOption('wish', $in, '0.000001', '0.999999');
            $in->throwFaults();
            [$sd, $severity, $alarm] = array_map(fn (BigDecimal $one) => $one->toFloat(), [$sd, $severity, $alarm]);
            $least = [];
            foreach ($wishes as $wish) {
                $least[(string) $wish] = Power::least($wish->toFloat(), $sd, $severity, $alarm);
            }

            return [
                'power' => number_format(Power::of($double, $sd, $severity, $alarm), 4, '.', ''),
                'wish' => (object) $least,
            ];
        });
    }
}
