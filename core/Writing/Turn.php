<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * A boundary between paragraphs, and how much style differs between its sides.
 */
final readonly class Turn
{
    /**
     * @param  int  $at  the word of the text that begins what stands after it
     * @param  float  $p  share of random orders in which a boundary comes out as large; 0 to 1
     * @param  float  $difference  what was measured; no unit
     */
    public function __construct(
        public int $at,
        public float $p,
        public float $difference,
    ) {
    }
}
