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
     * So many numbers with commas between, which may be negative.
     *
     * @return list<BigDecimal> as many as were asked for
     */
    private function signedOption(string $name, int $count, Document $in): array
    {
        $option = $this->option($name);
        $parts = explode(',', is_string($option) ? $option : '');
        if (count($parts) !== $count) {
            $in->fault(
                "--{$name}", $count === 1 ? 'must be one number' : "must be {$count} numbers with commas between",
            );
        }
        $numbers = [];
        foreach (array_pad($parts, $count, '') as $text) {
            $number = Document::parse(ltrim(trim($text), '-'));
            if ($number === null || substr_count($text, '-') > 1) {
                $in->fault("--{$name}", "must be a number such as -2.5, not \"{$text}\"");
            }
            $numbers[] = str_starts_with(trim($text), '-')
                ? ($number ?? BigDecimal::zero())->negated()
                : $number ?? BigDecimal::zero();
        }

        return array_slice($numbers, 0, $count);
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
