<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Plan\Concerns\NamesShelf;
use App\Models\Rubric;

/**
 * A new rubric: its title, and from what it is made.
 */
final class AddRubricRequest extends GuardedRequest
{
    use NamesShelf;

    protected function guard(): array
    {
        return ['create', Rubric::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return $this->shelfRule() + [
            'title' => ['required', 'string', 'max:200'], 'as' => ['nullable', 'in:levels,holistic'],
        ];
    }
}
