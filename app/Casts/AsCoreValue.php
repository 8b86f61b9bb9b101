<?php

declare(strict_types=1);

namespace App\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use YoungHarbor\Core\Input\JsonForm;

/**
 * A JSON column read and written as a value of the core, which checks it: `AsCoreValue::class.':'.Scheme::class`.
 *
 * @template T of JsonForm
 *
 * @implements CastsAttributes<T, T>
 */
final readonly class AsCoreValue implements CastsAttributes
{
    /**
     * @param  class-string<T>  $class
     */
    public function __construct(private string $class)
    {
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @return T
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): JsonForm
    {
        return is_string($value)
            ? $this->class::fromArray((array) json_decode($value, true, 64, JSON_THROW_ON_ERROR))
            : $this->class::usual();
    }

    /**
     * @param  array<string, mixed>  $attributes
     */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        if (! $value instanceof $this->class) {
            throw new InvalidArgumentException("{$key} takes a {$this->class}.");
        }

        return json_encode($value->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
