<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Actions\Mark\SyncDesk;
use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * What was set on one criterion.
 */
final class ChoiceRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['write', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'stop' => ['nullable', 'string', 'max:200'], 'points' => ['nullable', 'string', 'max:20'],
            'own_points' => ['nullable', 'string', 'max:20'], 'own_reason' => ['nullable', 'string', 'max:500'],
            'comment' => ['nullable', 'string', 'max:'.SyncDesk::LONGEST], 'done' => ['nullable', 'array'],
            'partly' => ['nullable', 'array'],
        ];
    }
}
