<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * Words in braces that a message to many fills in for each: {name}, {due}.
 */
final class Placeholders
{
    /**
     * @param  list<string>  $known
     *
     * @throws InvalidInput naming those that are not known
     */
    public static function check(string $text, array $known): void
    {
        preg_match_all('/\{([^{}\n]{0,40})\}/u', $text, $found);
        $unknown = array_values(array_unique(array_diff($found[1], $known)));
        if ($unknown !== []) {
            throw InvalidInput::at(
                'text',
                implode(', ', array_map(fn (string $name) => "{{$name}}", $unknown))
                    .(count($unknown) === 1 ? ' is' : ' are').' not filled in here; there are '
                    .implode(', ', array_map(fn (string $name) => "{{$name}}", $known)),
            );
        }
    }

    /**
     * @param  array<string, string>  $values  by name; what stands in them is not filled in again
     */
    public static function fill(string $text, array $values): string
    {
        return strtr($text, array_combine(array_map(fn (string $name) => "{{$name}}", array_keys($values)), $values));
    }
}
