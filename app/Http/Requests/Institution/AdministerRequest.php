<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

use App\Http\Requests\GuardedRequest;
use App\Models\User;

/**
 * What only an administrator sends.
 */
class AdministerRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['administer', User::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [];
    }
}
