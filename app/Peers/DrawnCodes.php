<?php

declare(strict_types=1);

namespace App\Peers;

use YoungHarbor\Core\Peers\RoundCode;

/**
 * Codes of a round, drawn at random, none twice.
 */
final class DrawnCodes
{
    /** @var array<string, true> */
    private array $taken = [];

    /**
     * @param  non-empty-list<string>  $of
     * @param  array<array-key, string>  $taken
     */
    public function __construct(private readonly array $of, array $taken)
    {
        $this->taken = array_fill_keys(array_values($taken), true);
    }

    public function next(): string
    {
        do {
            $code = RoundCode::drawn(
                $this->of, random_int(0, count($this->of) - 1),
                random_int(0, count($this->taken) > 400 ? RoundCode::NUMBERS : 99),
            );
        } while (isset($this->taken[$code]));
        $this->taken[$code] = true;

        return $code;
    }
}
