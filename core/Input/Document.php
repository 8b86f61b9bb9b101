<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Input;

use Brick\Math\BigDecimal;

/**
 * Reads a decoded JSON document field by field and collects every fault with its place.
 *
 * A reader that meets a fault returns a harmless value and goes on, so that one pass names all faults;
 * call {@see self::throwFaults()} before using what was read.
 */
final class Document
{
    /** Decimals are strings: up to six digits before and after the point, no sign, no exponent. */
    private const DECIMAL = '/\A[0-9]{1,6}(\.[0-9]{1,6})?\z/';

    /** @var list<Fault> */
    private array $faults = [];

    public function fault(string $place, string $what): void
    {
        $this->faults[] = new Fault($place, $what);
    }

    /**
     * @return list<Fault>
     */
    public function faults(): array
    {
        return $this->faults;
    }

    /**
     * @throws InvalidInput if any fault was met
     */
    public function throwFaults(): void
    {
        if ($this->faults !== []) {
            throw new InvalidInput($this->faults);
        }
    }

    /**
     * @param  array<array-key, mixed>  $from
     */
    public function text(array $from, string $key, string $place, int $most, bool $required = false): string
    {
        $value = $from[$key] ?? '';
        if (! is_string($value)) {
            $this->fault($place, 'must be text');

            return '';
        }
        if (! mb_check_encoding($value, 'UTF-8')) {
            $this->fault($place, 'is not valid UTF-8');

            return '';
        }
        if ($required && trim($value) === '') {
            $this->fault($place, 'is missing');
        }
        if (mb_strlen($value) > $most) {
            $this->fault($place, sprintf('has %d characters; at most %d are kept', mb_strlen($value), $most));
        }

        return $value;
    }

    /**
     * @param  array<array-key, mixed>  $from
     */
    public function decimal(array $from, string $key, string $place): BigDecimal
    {
        if (! array_key_exists($key, $from)) {
            $this->fault($place, 'is missing');

            return BigDecimal::zero();
        }

        return self::parse($from[$key]) ?? $this->badDecimal($from[$key], $place);
    }

    /**
     * @return BigDecimal|null null when the value is not a decimal as written here
     */
    public static function parse(mixed $value): ?BigDecimal
    {
        return is_string($value) && preg_match(self::DECIMAL, $value) === 1 ? BigDecimal::of($value) : null;
    }

    /**
     * One of the keys of an enum.
     *
     * @template T of \BackedEnum
     *
     * @param  array<array-key, mixed>  $from
     * @param  T  $usual  what stands for a faulty one
     * @return T
     */
    public function key(array $from, string $key, string $place, \BackedEnum $usual): \BackedEnum
    {
        $value = $from[$key] ?? null;
        $found = is_string($value) ? $usual::tryFrom($value) : null;
        if ($found === null) {
            $known = implode(', ', array_map(fn (\BackedEnum $case) => "\"{$case->value}\"", $usual::cases()));
            $this->fault($place, "must be one of {$known}");
        }

        return $found ?? $usual;
    }

    /**
     * A truth value; the usual one stands for a faulty one.
     *
     * @param  array<array-key, mixed>  $from
     */
    public function flag(array $from, string $key, string $place, bool $usual): bool
    {
        $value = $from[$key] ?? null;
        if (! is_bool($value)) {
            $this->fault($place, 'must be true or false');
        }

        return is_bool($value) ? $value : $usual;
    }

    /**
     * A decimal between two bounds, which belong to it.
     *
     * @param  array<array-key, mixed>  $from
     */
    public function decimalWithin(
        array $from, string $key, string $place, int|string $least, int|string $most,
    ): BigDecimal {
        $value = $this->decimal($from, $key, $place);
        if ($value->isLessThan($least) || $value->isGreaterThan($most)) {
            $this->fault($place, "must be a number from {$least} to {$most}");
        }

        return $value;
    }

    /**
     * A whole number between two bounds, which belong to it; the lowest stands for a faulty one.
     *
     * @param  array<array-key, mixed>  $from
     */
    public function whole(array $from, string $key, string $place, int $least, int $most): int
    {
        $value = $from[$key] ?? null;
        if (! is_int($value) || $value < $least || $value > $most) {
            $this->fault($place, "must be a whole number from {$least} to {$most}");

            return $least;
        }

        return $value;
    }

    /**
     * Names keys that nobody reads, so that a misspelt one is not passed over in silence.
     *
     * @param  array<array-key, mixed>  $from
     * @param  list<string>  $known
     * @param  string  $place  of what they stand in; "" at the top
     */
    public function onlyKeys(array $from, array $known, string $place = ''): void
    {
        foreach (array_diff(array_map(strval(...), array_keys($from)), $known) as $key) {
            $this->fault($place === '' ? $key : "{$place}.{$key}", 'is not known');
        }
    }

    /**
     * @param  array<array-key, mixed>  $from
     * @return array<array-key, mixed>
     */
    public function map(array $from, string $key, string $place): array
    {
        $value = $from[$key] ?? [];
        if (! is_array($value)) {
            $this->fault($place, 'must be a list or an object');

            return [];
        }

        return $value;
    }

    /**
     * @param  array<array-key, mixed>  $from
     * @return list<array<array-key, mixed>>
     */
    public function rows(array $from, string $key, string $place, int $most): array
    {
        $value = $from[$key] ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            $this->fault($place, 'must be a list');

            return [];
        }
        if (count($value) > $most) {
            $this->fault($place, sprintf('has %d entries; at most %d are possible', count($value), $most));

            return [];
        }
        $rows = [];
        foreach ($value as $i => $row) {
            if (is_array($row)) {
                $rows[] = $row;
            } else {
                $this->fault("{$place}[{$i}]", 'must be an object');
                $rows[] = [];
            }
        }

        return $rows;
    }

    private function badDecimal(mixed $value, string $place): BigDecimal
    {
        $shown = is_string($value) ? '"'.mb_substr($value, 0, 20).'"' : get_debug_type($value);
        $this->fault(
            $place, "must be a number such as \"12.5\" (up to six digits before and after a point), not {$shown}",
        );

        return BigDecimal::zero();
    }
}
