<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Document;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * A picture that was decoded and encoded anew.
 */
final readonly class Picture
{
    private function __construct(
        public string $type,
        public string $bytes,
    ) {
    }

    /**
     * @param  string  $type  image/png or image/jpeg
     *
     * @throws InvalidInput for any other type
     */
    public static function of(string $type, string $bytes): self
    {
        return in_array($type, ['image/png', 'image/jpeg'], true)
            ? new self($type, $bytes)
            : throw InvalidInput::at('picture', "is {$type}, not PNG or JPEG");
    }
}
