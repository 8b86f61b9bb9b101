<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

/**
 * One piece of advice on a rubric: the criterion it is about (none for the whole) and a sentence.
 */
final readonly class AdviceItem
{
    public function __construct(
        public ?string $criterion,
        public string $sentence,
    ) {
    }
}
