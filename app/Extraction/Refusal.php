<?php

declare(strict_types=1);

namespace App\Extraction;

use RuntimeException;

/**
 * Why a file cannot be taken, and what could be, in words for the person who chose it.
 */
final class Refusal extends RuntimeException
{
    public static function ofParagraphs(int $paragraphs, int $most): self
    {
        return new self(
            'This file holds '.number_format($paragraphs).' paragraphs, items and cells; at most '.number_format($most)
                .' are read. Hand in the text alone, without lists or tables of data.'
        );
    }

    public static function ofDepth(): self
    {
        return new self(
            'This file sets its paragraphs within each other more than a hundred times, as no essay does. Take the nested quotations or lists apart and choose it again.'
        );
    }
}
