<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * What goes out when an assignment's results are released.
 */
final readonly class Settings implements JsonForm
{
    public const MOST_DAYS = 90;

    private const ANSWER_DAYS = 15;

    /**
     * @param  bool  $feedbackOnly  students get feedback without a mark
     * @param  list<Signature>  $signatures  that results wait for
     * @param  AbsentGet|null  $absent  what someone gets who handed in nothing; null: people decide for each
     * @param  int<0, 90>  $reviewDays  so long after release a review of the mark may be asked for; 0: not at all
     * @param  int<1, 90>  $answerDays  so long after that it is to be answered
     * @param  bool  $marksShared  whether students see how all marks of the assignment lie
     * @param  Reflection  $reflection  what students are asked to write about their feedback
     */
    private function __construct(
        public bool $feedbackOnly, public array $signatures, public ?AbsentGet $absent,
        public int $reviewDays, public int $answerDays, public bool $marksShared, public Reflection $reflection,
    ) {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"feedback_only": false, "signatures": ["moderator"], "absent": "zero",
     *                                             "review_days": 10, "answer_days": 15, "marks_shared": true}; what is left out is as usual
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, [
            'feedback_only', 'signatures', 'absent', 'review_days', 'answer_days', 'marks_shared', 'reflection',
        ]);
        $document += ['feedback_only' => false];
        $signatures = [];
        foreach ($in->map($document, 'signatures', 'signatures') as $key) {
            $signature = is_string($key) ? Signature::tryFrom($key) : null;
            $signature === null
                ? $in->fault('signatures', 'must name "moderator" or "examiner"')
                : $signatures[$signature->value] = $signature;
        }
        $absent = $document['absent'] ?? null;
        $get = is_string($absent) ? AbsentGet::tryFrom($absent) : null;
        $absent === null || $get !== null || $in->fault('absent', 'must be "zero", "incomplete", "deferred" or "nothing"');
        $document += ['review_days' => 0, 'answer_days' => self::ANSWER_DAYS, 'marks_shared' => false];
        $settings = new self(
            $in->flag($document, 'feedback_only', 'feedback_only', false),
            array_values(array_filter(Signature::cases(), fn (Signature $one) => isset($signatures[$one->value]))),
            $get, max(0, min(self::MOST_DAYS, $in->whole($document, 'review_days', 'review_days', 0, self::MOST_DAYS))),
            max(1, min(self::MOST_DAYS, $in->whole($document, 'answer_days', 'answer_days', 1, self::MOST_DAYS))),
            $in->flag($document, 'marks_shared', 'marks_shared', false),
            Reflection::fromArray($in->map($document, 'reflection', 'reflection')),
        );
        $in->throwFaults();

        return $settings;
    }

    /**
     * @return array{feedback_only: bool, signatures: list<string>, absent: string|null, review_days: int,
     *     answer_days: int, marks_shared: bool, reflection: array<string, mixed>}
     */
    public function toArray(): array
    {
        return [
            'feedback_only' => $this->feedbackOnly,
            'signatures' => array_map(fn (Signature $one) => $one->value, $this->signatures),
            'absent' => $this->absent?->value, 'review_days' => $this->reviewDays, 'answer_days' => $this->answerDays,
            'marks_shared' => $this->marksShared, 'reflection' => $this->reflection->toArray(),
        ];
    }
}
