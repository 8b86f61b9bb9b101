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
     */
    private function __construct(public bool $feedbackOnly)
    {
    }

    public static function usual(): static
    {
        return self::fromArray([]);
    }

    /**
     * @param  array<array-key, mixed>  $document  {"feedback_only": false}; what is left out is as usual
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['feedback_only']);
        $document += ['feedback_only' => false];
        $settings = new self($in->flag($document, 'feedback_only', 'feedback_only', false));
        $in->throwFaults();

        return $settings;
    }

    /**
     * @return array{feedback_only: bool}
     */
    public function toArray(): array
    {
        return ['feedback_only' => $this->feedbackOnly];
    }
}
