<?php

declare(strict_types=1);

namespace App\Http\Requests\Roster;

use App\Http\Requests\GuardedRequest;
use App\Models\RosterImport;

/**
 * That a roster is applied as it was shown.
 */
final class ApplyRosterRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['addPeople', $this->bound('import', RosterImport::class)->module];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['seen' => ['required', 'string', 'max:64']];
    }
}
