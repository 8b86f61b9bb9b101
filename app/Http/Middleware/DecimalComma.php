<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * "62,5" in a field for a number is 62.5. Fields of words are left as they were typed, and so is "1,000,000".
 */
final class DecimalComma
{
    /** Parts of names of fields that hold numbers. */
    private const NUMBERS = [
        'mark', 'share', 'from', 'value', 'weight', 'min', 'max', 'step', 'points', 'own_points', 'overrides', 'partly',
        'tolerance', 'pass_mark', 'cap', 'must_pass', 'pass', 'borderline', 'target',
        'late_amount', 'late_floor', 'over_amount', 'under_amount', 'overlap_look', 'overlap_look_closely',
        'writing_alarm', 'constant', 'factor',
    ];

    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->query, $request->request] as $bag) {
            $bag->replace($this->mend($bag->all(), false));
        }

        return $next($request);
    }

    /** @param  string  $place  the name of the field, its parts joined by dots */
    public static function in(string $place, string $value): string
    {
        return array_intersect(explode('.', $place), self::NUMBERS) === [] ? $value : self::point($value);
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    private function mend(array $values, bool $numbers): array
    {
        foreach ($values as $name => $value) {
            $number = $numbers || in_array($name, self::NUMBERS, true);
            $values[$name] = match (true) {
                is_array($value) => $this->mend($value, $number),
                $number && is_string($value) => self::point($value),
                default => $value,
            };
        }

        return $values;
    }

    private static function point(string $value): string
    {
        return preg_match('/^\s*-?\d{1,3},\d{1,4}(?:\s*[–-]\s*\d{1,3}(?:,\d{1,4})?)?\s*$/u', $value) === 1
            ? str_replace(',', '.', $value)
            : $value;
    }
}
