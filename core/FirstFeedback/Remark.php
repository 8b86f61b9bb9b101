<?php

declare(strict_types=1);

namespace YoungHarbor\Core\FirstFeedback;

/**
 * One remark on a draft: what could be looked at again. Never a mark, never a level.
 */
final readonly class Remark
{
    /**
     * @param  string|null  $criterion  id of the criterion it is about; null: the draft as a whole
     * @param  string|null  $quote  the words it is about, as they stand in the draft; null: no place
     */
    public function __construct(
        public ?string $criterion, public ?string $quote, public string $text, public Sureness $sure,
    ) {
    }

    /**
     * @return array{criterion: string|null, quote: string|null, text: string, sure: string}
     */
    public function toArray(): array
    {
        return ['criterion' => $this->criterion, 'quote' => $this->quote, 'text' => $this->text, 'sure' => $this->sure->value];
    }
}
