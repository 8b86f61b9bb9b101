<?php

declare(strict_types=1);

namespace YoungHarbor\Core;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * A sea-bird name and three digits (`TERN-417`) that stands for a student in one assignment.
 *
 * Codes are drawn at random, never worked out from anything about the person.
 */
final readonly class ScriptCode implements \Stringable
{
    public const BIRDS = [
        'AVOCET', 'BRENT', 'CURLEW', 'DUNLIN', 'EIDER', 'FULMAR', 'GANNET', 'GODWIT', 'GREBE', 'KNOT', 'PETREL',
        'PLOVER',
        'PUFFIN', 'RAZORBILL', 'REDSHANK', 'RUFF', 'SANDERLING', 'SCOTER', 'SHAG', 'SKUA', 'SMEW', 'STINT', 'TERN',
        'WHIMBREL',
    ];

    private function __construct(private string $code)
    {
    }

    /**
     * @param  int  $bird  0 to one less than the number of birds
     * @param  int  $number  0 to 999
     */
    public static function drawn(int $bird, int $number): self
    {
        if (! isset(self::BIRDS[$bird]) || $number < 0 || $number > 999) {
            throw InvalidInput::at('code', 'is not a bird and a number from 0 to 999');
        }

        return new self(sprintf('%s-%03d', self::BIRDS[$bird], $number));
    }

    public function __toString(): string
    {
        return $this->code;
    }
}
