<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * Some words of a text that make a sentence, and the paragraph it stands in.
 */
final readonly class Sentence
{
    /**
     * @param  int  $from  word offset
     * @param  int  $to  exclusive
     * @param  int  $paragraph  from 0
     * @param  bool  $closed  whether it ends in a mark that ends sentences
     */
    public function __construct(
        public int $from,
        public int $to,
        public int $paragraph,
        public bool $closed,
    ) {
    }

    public function words(): int
    {
        return $this->to - $this->from;
    }
}
