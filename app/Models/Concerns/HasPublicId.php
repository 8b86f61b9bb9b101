<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Support\Str;

/**
 * A random UUIDv4 stands for the row in every address: neither the order nor the time of a row can be read from it.
 */
trait HasPublicId
{
    use HasUuids;

    /** Not the framework's own, which puts the time in front. */
    public function newUniqueId(): string
    {
        return Str::uuid()->toString();
    }

    /**
     * @return list<string>
     */
    public function uniqueIds(): array
    {
        return ['public_id'];
    }

    public function getRouteKeyName(): string
    {
        return 'public_id';
    }
}
