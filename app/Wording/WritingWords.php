<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\WritingReport;
use YoungHarbor\Core\Writing\Signal;
use YoungHarbor\Core\Writing\SignalReading;

/**
 * How writing signals are put into words: numbers of texts out of so many, never a percentage of guilt.
 */
final class WritingWords
{
    /** What no signal can tell; it stands wherever signals do. */
    public const CANNOT = [
        'They cannot tell who or what wrote a text. Honest writing is called unusual as often as the alarm allows, and writing with help can look quite usual.',
        'People who write in a second language, follow a template, or had their text proof-read often differ from a baseline without having done anything wrong.',
        'A topic, a genre or a source of its own makes words harder to guess. Short texts vary by chance.',
        'Style alone is weak evidence of whose hand it is: on open texts it puts two speeches of one person nearer than two of different people in four of five cases, in two of three when they spoke in the same years.',
    ];

    /** "1 in 20 honest scripts may be called unusual" */
    public static function alarm(float $alarm): string
    {
        return '1 in '.self::round(1 / $alarm).' honest scripts may be called unusual';
    }

    /** "about 1", "fewer than 1", "about 3" */
    public static function about(float $number): string
    {
        return $number < 0.75 ? 'fewer than 1' : 'about '.self::round($number);
    }

    /** "2 of 21 texts, this one among them, are at least as unusual." */
    public static function rank(WritingReport $report): string
    {
        return $report->at_least === 1
            ? "Of {$report->among} texts, the baseline’s and this one, it is the most unusual."
            : "{$report->at_least} of {$report->among} texts, the baseline’s and this one, are at least this unusual.";
    }

    /** "Of 23 scripts written as the trusted texts were, about 1 would look this unusual." */
    public static function frequency(WritingReport $report, int $measured): string
    {
        $expected = $report->among === null ? 0 : $measured * (int) $report->at_least / $report->among;

        return "Of {$measured} scripts written as the trusted texts were, ".self::about($expected)
            .' would look at least this unusual.';
    }

    /**
     * The signals of a report, those outside the range of nine in ten trusted texts first.
     *
     * @return list<SignalReading>
     */
    public static function signals(WritingReport $report): array
    {
        $readings = [];
        foreach ($report->found['signals'] ?? [] as $one) {
            $readings[] = new SignalReading(
                Signal::from($one['name']), $one['value'], $one['low'], $one['high'], $one['below'], $one['above'],
                $one['of'],
            );
        }
        usort(
            $readings,
            fn (SignalReading $a, SignalReading $b) => [
                $b->isOutside(), max($b->below, $b->above),
            ] <=> [$a->isOutside(), max($a->below, $a->above)],
        );

        return $readings;
    }

    /**
     * The words of earlier work are given roundly: counted to the last they could be looked up.
     *
     * "Of 22 other students’ scripts 20 lie farther from this student’s earlier work than this one does."
     */
    public static function own(WritingReport $report): ?string
    {
        $own = $report->found['own'] ?? null;
        if ($own === null) {
            return null;
        }

        return "Of {$own['others']} scripts by others in this assignment {$own['farther']} lie at least as far in style from this student’s earlier work (some "
            .number_format(max(500, 500 * (int) round($own['words'] / 500))).' words) as this one does.';
    }

    /**
     * Questions that a talk can begin with: about how the text came to be, never whether something was done.
     *
     * @param  list<array{at: int, p: float, words: string}>  $turns
     * @return list<string>
     */
    public static function questions(array $turns): array
    {
        return [
            'How did you get from the brief to this question? What did you read first?',
            'Show me a note, an earlier version or a page you worked from.',
            ...array_map(
                fn (array $turn) => "Take me through the part that begins “{$turn['words']}”. When did you write it, and what came before it?",
                $turns,
            ),
            'Which sentence was hardest to write, and what did you change in it?',
            'What help did you have, from people or tools, and with what?',
        ];
    }

    /**
     * What is kept with an entry of the conversation record.
     *
     * @return list<string>
     */
    public static function evidence(WritingReport $report): array
    {
        $outside = array_filter(self::signals($report), fn (SignalReading $one) => $one->isOutside());

        return array_values(array_filter([
            self::rank($report),
            ...array_map(fn (SignalReading $one) => ucfirst($one->inWords()).'.', array_slice($outside, 0, 6)),
            self::own($report),
            ($report->found['turns'] ?? []) === []
                ? null
                : 'Style turns at '.count($report->found['turns']).(
                    count($report->found['turns']) === 1 ? ' place.' : ' places.'
                ),
            'Baseline “'.($report->baseline->name ?? '').'”, version '.$report->baseline_version.'.',
        ]));
    }

    private static function round(float $number): string
    {
        return (string) (int) round($number);
    }
}
