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
    /**
     * @param  bool  $feedbackOnly  students get feedback without a mark
     * @param  list<Signature>  $signatures  that results wait for
     * @param  AbsentGet|null  $absent  what someone gets who handed in nothing; null: people decide for each
     */
    private function __construct(public bool $feedbackOnly, public array $signatures, public ?AbsentGet $absent)
    {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"feedback_only": false, "signatures": ["moderator"], "absent": "zero"}; what is left out is as usual
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['feedback_only', 'signatures', 'absent']);
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
        $absent === null || $get !== null || $in->fault('absent', 'must be "zero", "incomplete" or "deferred"');
        $settings = new self(
            $in->flag($document, 'feedback_only', 'feedback_only', false),
            array_values(array_filter(Signature::cases(), fn (Signature $one) => isset($signatures[$one->value]))),
            $get,
        );
        $in->throwFaults();

        return $settings;
    }

    /**
     * @return array{feedback_only: bool, signatures: list<string>, absent: string|null}
     */
    public function toArray(): array
    {
        return [
            'feedback_only' => $this->feedbackOnly,
            'signatures' => array_map(fn (Signature $one) => $one->value, $this->signatures),
            'absent' => $this->absent?->value,
        ];
    }
}
