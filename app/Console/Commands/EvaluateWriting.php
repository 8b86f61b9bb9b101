<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\TextFiles;
use Illuminate\Console\Command;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Writing\Baseline;
use YoungHarbor\Core\Writing\Fit;
use YoungHarbor\Core\Writing\Language;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\Separation;
use YoungHarbor\Core\Writing\Share;
use YoungHarbor\Core\Writing\TrustedTexts;

/**
 * For an institution with texts of its own whose origin it knows: how often each kind is called unusual beside a
 * baseline, and how well the score tells them apart, by length of text.
 */
final class EvaluateWriting extends Command
{
    use AnswersInJson;

    private const LENGTHS = [300, 600, 1000, 2000];

    protected $signature = 'writing:evaluate {trusted : a folder of texts known to be honest} {other : a folder of texts of the other kind} {--baseline= : a folder of trusted texts, none of them among the first} {--alarm=0.05 : share of honest texts that may be called unusual}';

    protected $description = 'Measure how often texts of known origin are called unusual';

    public function handle(TextFiles $files): int
    {
        return $this->answer(fn (): array => $this->evaluate($files), JSON_PRETTY_PRINT);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function evaluate(TextFiles $files): array
    {
        $faults = [];
        $alarm = CheckWriting::alarm((string) $this->option('alarm'), $faults);
        $this->option('baseline') === null
            && $faults[] = new Fault('--baseline', 'must name a folder of trusted texts');
        $read = function (string $folder, string $place) use ($files, &$faults): array {
            return array_map(Prose::of(...), $files->folder($folder, $place, $faults));
        };
        $texts = [
            'trusted' => $read((string) $this->argument('trusted'), 'TRUSTED_DIR'),
            'other' => $read((string) $this->argument('other'), 'OTHER_DIR'),
        ];
        $trusted = TrustedTexts::of(
            $this->option('baseline') === null ? [] : $read((string) $this->option('baseline'), '--baseline')
        );
        foreach ($texts['trusted'] as $name => $text) {
            if (in_array($text->words, array_map(fn (Prose $one) => $one->words, $trusted->texts), true)) {
                $faults[] = new Fault(
                    'TRUSTED_DIR', "{$name} is in the baseline too: it must not be measured against itself",
                );
            }
        }
        if ($faults !== []) {
            throw new InvalidInput($faults);
        }
        $trusted->mustSupport($alarm);
        $baseline = $trusted->baseline();
        $language = Language::of($trusted->texts);
        $results = $left = [];
        foreach ($texts as $kind => $of) {
            foreach ($of as $name => $text) {
                $why = Fit::tooShort($text)
                    ?? ($language->has($text) ? null : 'In another language than the baseline, or no running text.');
                if ($why !== null) {
                    $left[] = ['kind' => $kind, 'name' => (string) $name, 'why' => $why];

                    continue;
                }
                $results[] = $this->result($baseline, $kind, $text, $alarm);
            }
        }
        $bands = [];
        foreach (self::LENGTHS as $n => $from) {
            $to = self::LENGTHS[$n + 1] ?? null;
            $within = array_values(
                array_filter(
                    $results, fn (array $one) => $one['words'] >= $from && ($to === null || $one['words'] < $to),
                )
            );
            $within === [] || $bands[] = ['words_from' => $from, 'words_below' => $to, ...$this->figures($within)];
        }

        return [
            'alarm' => CheckWriting::number($alarm), 'baseline' => $trusted->size(), 'not_measured' => $left,
            ...$this->figures($results), 'by_length' => $bands,
        ];
    }

    /**
     * @return array{kind: string, words: int, rank: float, unusual: bool}
     */
    private function result(Baseline $baseline, string $kind, Prose $text, float $alarm): array
    {
        $compared = $baseline->compared($text);
        $conformal = $compared->conformal();

        return [
            'kind' => $kind, 'words' => $text->count(), 'rank' => 1 - $conformal->p(),
            'unusual' => $conformal->isUnusual($alarm),
        ];
    }

    /**
     * @param  list<array{kind: string, words: int, rank: float, unusual: bool}>  $results
     * @return array<string, mixed>
     */
    private function figures(array $results): array
    {
        $of = fn (string $kind): array => array_values(
            array_filter($results, fn (array $one) => $one['kind'] === $kind)
        );
        $unusual = function (string $kind) use ($of): array {
            $share = new Share(count(array_filter(array_column($of($kind), 'unusual'))), count($of($kind)));
            $interval = $share->interval();

            return [
                'texts' => $share->of, 'unusual' => $share->times,
                'share' => $share->share() === null ? null : CheckWriting::number($share->share()),
                'interval_95' => $interval === null ? null : array_map(CheckWriting::number(...), $interval),
            ];
        };
        $separation = Separation::of(array_column($of('trusted'), 'rank'), array_column($of('other'), 'rank'));

        return [
            'trusted' => $unusual('trusted'), 'other' => $unusual('other'),
            'auc' => $separation === null
                ? null
                : [
                    'value' => CheckWriting::number($separation->area),
                    'interval_95' => array_map(CheckWriting::number(...), $separation->interval()),
                ],
        ];
    }
}
