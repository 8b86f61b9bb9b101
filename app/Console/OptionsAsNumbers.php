<?php

declare(strict_types=1);

namespace App\Console;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;

/**
 * A command's options as numbers, each fault named with its option.
 */
trait OptionsAsNumbers
{
    private function wholeOption(string $name, Document $in, int $least, int $most): int
    {
        $text = $this->option($name);
        $value = is_string($text) && preg_match('/\A[0-9]{1,18}\z/', $text) === 1 ? (int) $text : null;

        return $in->whole(['value' => $value], 'value', "--{$name}", $least, $most);
    }

    private function decimalOption(string $name, Document $in, int|string $least, int|string $most): BigDecimal
    {
        return $in->decimalWithin(['value' => $this->option($name)], 'value', "--{$name}", $least, $most);
    }

    /**
     * @return list<BigDecimal> of a list with commas between
     */
    private function decimalsOption(string $name, Document $in, int|string $least, int|string $most): array
    {
        $list = $this->option($name);

        return array_map(
            fn (string $text) => $in->decimalWithin(['value' => trim($text)], 'value', "--{$name}", $least, $most),
            explode(',', is_string($list) ? $list : ''),
        );
    }
}
