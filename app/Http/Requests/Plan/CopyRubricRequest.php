<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Plan\Concerns\NamesShelf;
use App\Models\Rubric;

/**
 * Where a copy of a rubric goes.
 */
final class CopyRubricRequest extends GuardedRequest
{
    use NamesShelf;

    protected function guard(): array
    {
        return ['copy', $this->bound('rubric', Rubric::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return $this->shelfRule();
    }
}
