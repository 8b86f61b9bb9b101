<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\Contribution;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * Members of groups may rate again, until a new time.
 */
final class ReopenContributionRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('contribution', Contribution::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['due_at' => ['required', 'string', ContributionRequest::time()]];
    }

    public function dueAt(): Carbon
    {
        return LocalTime::parse($this->string('due_at')->toString()) ?? throw new LogicException('Checked by the rules.');
    }
}
