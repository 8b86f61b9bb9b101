<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\AllocationPlan;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Marking\Seat;

/**
 * One script moved to another marker in a draft of a plan.
 */
final class MoveInPlanRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('plan', AllocationPlan::class)->assignment];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'script' => ['required', 'string', 'max:20'],
            'part' => ['required', Rule::in([Seat::First->value, Seat::Second->value])],
            'to' => ['required', 'string'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['script.required' => 'Write the code of the script that moves.', 'to.required' => 'Choose who gets it.'];
    }
}
