<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Actions\Screen\RerunScreening;
use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use Illuminate\Validation\Rule;

/**
 * What is compared again.
 */
final class RerunRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['which' => ['required', Rule::in([RerunScreening::ALL, RerunScreening::UNFINISHED, RerunScreening::WEB])]];
    }
}
