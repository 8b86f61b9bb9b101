<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\Contribution;

/**
 * What a member of a group says of each member's part.
 */
final class RateMembersRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['take', $this->bound('contribution', Contribution::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'points' => ['nullable', 'array', 'max:60'], 'points.*' => ['array', 'max:6'],
            'points.*.*' => ['integer', 'min:0', 'max:4'], 'notes' => ['nullable', 'array', 'max:60'],
            'notes.*' => ['nullable', 'string', 'max:1000'],
        ];
    }

    /**
     * @return array<string, array<int, int>> by a member's public id
     */
    public function points(): array
    {
        $points = [];
        foreach ((array) $this->validated('points', []) as $member => $given) {
            foreach ((array) $given as $n => $one) {
                $points[(string) $member][(int) $n] = (int) $one;
            }
        }

        return $points;
    }

    /**
     * @return array<string, string> by the same
     */
    public function notes(): array
    {
        return array_map(fn (mixed $one) => trim((string) $one), (array) $this->validated('notes', []));
    }
}
