<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * The proposal that is agreed to.
 */
final class AcceptProposalRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['settle', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['proposal' => ['required', 'integer']];
    }
}
