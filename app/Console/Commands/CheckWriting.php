<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\TextFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Writing\Fit;
use YoungHarbor\Core\Writing\Language;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\SameHand;
use YoungHarbor\Core\Writing\SignalReading;
use YoungHarbor\Core\Writing\TrustedTexts;
use YoungHarbor\Core\Writing\Turn;
use YoungHarbor\Core\Writing\Turns;

/**
 * Shows how the writing of a file compares with trusted texts, without database or web server.
 */
final class CheckWriting extends Command
{
    use AnswersInJson;

    private const TURN = 0.05;

    protected $signature = 'writing:check {file : the text} {--baseline= : a folder of trusted texts} {--own= : a folder of earlier work by the same writer} {--alarm=0.05 : share of honest texts that may be called unusual}';

    protected $description = 'Show how the writing of a text compares with trusted texts';

    public function handle(TextFiles $files): int
    {
        return $this->answer(fn (): array => $this->check($files));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function check(TextFiles $files): array
    {
        $faults = [];
        $alarm = self::alarm((string) $this->option('alarm'), $faults);
        $file = (string) $this->argument('file');
        $text = Prose::of($files->text($file, 'FILE', $faults));
        // By reference, so that faults are told. A text is not measured against itself.
        $read = function (string $folder, string $place) use ($files, $file, &$faults): array {
            return array_map(Prose::of(...), $files->folder($folder, $place, $faults, $file));
        };
        $this->option('baseline') === null
            && $faults[] = new Fault('--baseline', 'must name a folder of trusted texts');
        $trusted = TrustedTexts::of(
            $this->option('baseline') === null ? [] : $read((string) $this->option('baseline'), '--baseline')
        );
        $own = $this->option('own') === null ? [] : $read((string) $this->option('own'), '--own');
        if ($faults !== []) {
            throw new InvalidInput($faults);
        }
        foreach ($trusted->misfits as $name => $why) {
            fwrite(STDERR, "Not used, {$name}: {$why}\n");
        }
        $trusted->mustSupport($alarm);
        $short = Fit::tooShort($text);
        if ($short !== null) {
            fwrite(STDERR, "{$short}\n");

            return [
                'words' => $text->count(), 'enough' => false, 'p_value' => null, 'reading' => 'too short',
                'signals' => [], 'own' => null, 'turns' => [],
            ];
        }
        if (! Language::of($trusted->texts)->has($text)) {
            throw InvalidInput::at(
                'FILE', 'is in another language than the baseline, or no running text: nothing can be said of it',
            );
        }
        $compared = $trusted->baseline()->compared($text);
        $conformal = $compared->conformal();
        $same = SameHand::of($text, array_values($own), array_values($trusted->texts));
        if ($own !== [] && $same === null) {
            fwrite(
                STDERR, 'Too little to compare with: '.SameHand::LEAST_OWN_WORDS." words of earlier work are needed.\n",
            );
        }

        return [
            'words' => $text->count(), 'enough' => true, 'p_value' => self::number($conformal->p()),
            'reading' => $conformal->isUnusual($alarm) ? 'unusual' : 'usual',
            'signals' => array_map(
                fn (SignalReading $one) => [
                    'name' => str_replace('-', ' ', $one->signal->value), 'value' => $one->shown($one->value),
                    'baseline_low' => $one->shown($one->low), 'baseline_high' => $one->shown($one->high),
                ],
                $compared->signals(),
            ),
            'own' => $same === null
                ? null
                : ['distance' => self::number($same->distance), 'p_value' => self::number($same->p())],
            'turns' => array_map(
                fn (Turn $turn) => ['at_word' => $turn->at, 'p_value' => self::number($turn->p)],
                $this->turns($text, $trusted),
            ),
        ];
    }

    /**
     * @return list<Turn>
     */
    private function turns(Prose $text, TrustedTexts $trusted): array
    {
        $words = $trusted->frequentWords(Turns::FREQUENT);
        $turns = Turns::of($text, $words);
        if ($turns === null || $turns->upTo(self::TURN) === []) {
            return [];
        }
        $others = array_filter(
            array_map(fn (Prose $one) => Turns::of($one, $words)?->largest(), $trusted->texts),
            fn (?float $largest) => $largest !== null,
        );

        return $turns->beside(array_values($others))->upTo(self::TURN);
    }

    /**
     * @param  list<Fault>  $faults
     */
    public static function alarm(string $asked, array &$faults): float
    {
        if (is_numeric($asked) && (float) $asked > 0 && (float) $asked <= 0.5) {
            return (float) $asked;
        }
        $faults[] = new Fault('--alarm', 'must be a number above 0 and at most 0.5, such as 0.05');

        return 0.05;
    }

    public static function number(float $value): string
    {
        $shown = number_format($value, 4, '.', '');

        return str_contains($shown, '.') ? rtrim(rtrim($shown, '0'), '.') : $shown;
    }
}
