<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Extraction\Refusal;
use YoungHarbor\Core\Text\Mask;

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
     * @throws Refusal
     */
    public static function of(string $address, array $masks): self
    {
        $address = trim($address);
        $parts = parse_url($address);
        if (strlen($address) > self::LONGEST || filter_var($address, FILTER_VALIDATE_URL) === false || ! is_array($parts) || ! in_array(strtolower($parts['scheme'] ?? ''), ['https', 'http'], true) || ! str_contains($parts['host'] ?? '', '.')) {
            throw new Refusal('This is not the address of a page: it begins with https:// and has at most '.self::LONGEST.' characters. Copy it from your browser’s address line.');
        }
        if (isset($parts['user']) || isset($parts['pass'])) {
            throw new Refusal('This address holds a user name or password. Share the page so that it opens without one, and hand in that address.');
        }
        $readable = strtr(rawurldecode($address), ['/' => ' ', '_' => ' ', '-' => ' ', '~' => ' ', '.' => ' ', '=' => ' ', '&' => ' ', '?' => ' ']);
        foreach ($masks as $mask) {
            if ($mask->find($readable) !== [] || $mask->find(rawurldecode($address)) !== []) {
                throw new Refusal('This address holds your name, number or mail address, and markers would see it. Share the page under an address without it, and hand that in.');
            }
        }

        return new self($address);
    }
}
