<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * One word of a text: how it is compared, and where it stands in the original (byte offsets, end exclusive).
 */
final readonly class Word
{
    public function __construct(
        public string $normal,
        public int $start,
        public int $end,
    ) {
    }
}
