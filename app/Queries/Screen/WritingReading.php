<?php

declare(strict_types=1);

namespace App\Queries\Screen;

use App\Models\WritingReport;
use YoungHarbor\Core\Text\Words;

/**
 * What the writing page shows of one script: its text with its sentences, a strip of how easily each is guessed, and
 * where style turns.
 */
final class WritingReading
{
    public const WIDTH = 1180.0;

    public const HEIGHT = 96.0;

    /**
     * @return array{sentences: list<array{number: int, text: string, before: string, out: string, turn: float|null, x: float, width: float, y: float, bits: float}>, after: string, band: array{float, float}, turns: list<array{at: int, p: float, words: string, x: float, sentence: int}>}
     */
    public static function of(WritingReport $report): array
    {
        $words = Words::of($report->handin->text);
        [$low, $high] = $report->found['usual'] ?? [0.0, 1.0];
        $sentences = $report->found['sentences'] ?? [];
        $bits = array_column($sentences, 2);
        $least = min([$low, ...$bits]) - 0.5;
        $most = max([$high, ...$bits]) + 0.5;
        $y = fn (float $value): float => round(
            self::HEIGHT - self::HEIGHT * ($value - $least) / max(0.1, $most - $least), 1,
        );
        $x = fn (int $word): float => round(self::WIDTH * $word / max(1, $words->count()), 1);
        $turns = array_column($report->found['turns'] ?? [], 'p', 'at');
        $parts = $found = [];
        $byte = 0;
        foreach ($sentences as $n => [$at, $to, $value]) {
            if ($to > $words->count()) {
                break; // the text is another one by now
            }
            $start = $words->list[$at]->start;
            $end = $words->list[$to - 1]->end;
            $parts[] = [
                'number' => $n + 1, 'text' => substr($words->text, $start, $end - $start),
                'before' => substr($words->text, $byte, $start - $byte), 'turn' => $turns[$at] ?? null,
                'bits' => $value,
                'out' => $value < $low ? 'easier' : ($value > $high ? 'harder' : ''), 'x' => $x($at),
                'width' => max(1.5, round($x($to) - $x($at) - 1, 1)), 'y' => $y($value),
            ];
            if (isset($turns[$at])) {
                $found[] = [
                    'at' => $at, 'p' => $turns[$at], 'words' => $words->slice($at, min($to, $at + 6)), 'x' => $x($at),
                    'sentence' => $n + 1,
                ];
            }
            $byte = $end;
        }

        return [
            'sentences' => $parts, 'after' => substr($words->text, $byte), 'band' => [$y($low), $y($high)],
            'turns' => $found,
        ];
    }
}
