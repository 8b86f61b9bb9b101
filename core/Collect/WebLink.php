<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Names\Mask;

/**
 * The address of something that stands elsewhere, handed in as it is. Nothing is fetched from it.
 */
final readonly class WebLink
{
    private const LONGEST = 500;

    private function __construct(public string $address)
    {
    }

    /**
     * @param  list<Mask>  $masks  of its authors, who must not be named in it
     *
     * @throws InvalidInput
     */
    public static function of(string $address, array $masks): self
    {
        $address = trim($address);
        $parts = parse_url($address);
        if (
            strlen($address) > self::LONGEST || filter_var($address, FILTER_VALIDATE_URL) === false
            || ! is_array($parts) || ! in_array(strtolower($parts['scheme'] ?? ''), ['https', 'http'], true)
            || ! str_contains($parts['host'] ?? '', '.')
        ) {
            throw InvalidInput::at(
                'link',
                'This is not the address of a page: it begins with https:// and has at most '.self::LONGEST
                    .' characters. Copy it from your browser’s address line.',
            );
        }
        if (isset($parts['user']) || isset($parts['pass'])) {
            throw InvalidInput::at(
                'link',
                'This address holds a user name or password. Share the page so that it opens without one, and hand in that address.',
            );
        }
        $readable = strtr(
            rawurldecode($address),
            ['/' => ' ', '_' => ' ', '-' => ' ', '~' => ' ', '.' => ' ', '=' => ' ', '&' => ' ', '?' => ' '],
        );
        if (Mask::count($masks, $readable) + Mask::count($masks, rawurldecode($address)) > 0) {
            throw InvalidInput::at(
                'link',
                'This address holds your name, number or mail address, and markers would see it. Share the page under an address without it, and hand that in.',
            );
        }

        return new self($address);
    }
}
