<?php

declare(strict_types=1);

namespace App\Http\Requests\Members;

use App\Http\Requests\GuardedRequest;
use App\Models\Membership;

/**
 * A student’s section, and whether they have left.
 */
final class MemberRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('member', Membership::class)->module];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['section' => ['nullable', 'string', 'max:40'], 'left' => ['nullable', 'in:0,1']];
    }
}
