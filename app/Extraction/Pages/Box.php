<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

/**
 * A word where it stands on a page, in points from the top left corner.
 */
final readonly class Box
{
    /**
     * @param  bool  $sure  false for what may be no word, read out of a picture
     */
    public function __construct(
        public string $word,
        public float $left,
        public float $top,
        public float $right,
        public float $bottom,
        public bool $sure = true,
    ) {
    }

    /** Whether most of the smaller of two lies within the other. */
    public function lies(self $other): bool
    {
        $wide = min($this->right, $other->right) - max($this->left, $other->left);
        $high = min($this->bottom, $other->bottom) - max($this->top, $other->top);
        $smaller = min(
            ($this->right - $this->left) * ($this->bottom - $this->top),
            ($other->right - $other->left) * ($other->bottom - $other->top),
        );

        return $wide > 0 && $high > 0 && $wide * $high > 0.4 * $smaller;
    }
}
