<?php

declare(strict_types=1);

namespace App\Screening\Detector;

/**
 * What a detector said of one text, with how often it says itself to be wrong. An answer without error rates is none.
 */
final readonly class DetectorAnswer
{
    /**
     * @param  float  $score  0 to 1, in the detector's own sense
     * @param  float  $falseAlarms  share of honest texts it calls machine-written, as it states
     * @param  float  $misses  share of machine-written texts it does not, as it states
     */
    private function __construct(
        public string $name,
        public bool $simulated,
        public float $score,
        public float $falseAlarms,
        public float $misses,
        public string $measuredOn,
    ) {
    }

    /**
     * @throws DetectorUnanswered for anything that is not an answer
     */
    public static function of(mixed $answer): self
    {
        $share = fn (mixed $value): bool => (is_int($value) || is_float($value)) && $value >= 0 && $value <= 1;
        $stated = is_array($answer) ? $answer['stated'] ?? null : null;
        if (! is_array($answer) || ! $share($answer['score'] ?? null)) {
            throw new DetectorUnanswered('The detector gave an answer that cannot be read.');
        }
        if (
            ! is_array($stated) || ! $share($stated['false_alarm_rate'] ?? null)
            || ! $share($stated['miss_rate'] ?? null)
        ) {
            throw new DetectorUnanswered(
                'The detector does not state how often it is wrong, so its answer is not shown.'
            );
        }
        $words = fn (mixed $value, string $else): string => is_string($value) && trim($value) !== ''
            ? mb_substr(trim($value), 0, 200)
            : $else;

        return new self(
            $words($answer['detector'] ?? null, 'An outside detector'), ($answer['simulated'] ?? false) === true,
            (float) $answer['score'], (float) $stated['false_alarm_rate'], (float) $stated['miss_rate'],
            $words($stated['measured_on'] ?? null, 'it does not say what'),
        );
    }

    /**
     * @return array{name: string, simulated: bool, score: float, false_alarms: float, misses: float, measured_on: string}
     */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'simulated' => $this->simulated, 'score' => $this->score,
            'false_alarms' => $this->falseAlarms, 'misses' => $this->misses, 'measured_on' => $this->measuredOn,
        ];
    }
}
