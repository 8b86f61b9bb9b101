<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\SamplePack;

/**
 * Scripts put into a pack and taken out of it.
 */
final class ChangePackRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('pack', SamplePack::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['put' => ['nullable', 'string', 'max:20'], 'out' => ['nullable', 'array', 'max:500'], 'out.*' => ['string', 'max:20'], 'drop' => ['nullable', 'in:1']];
    }
}
