<?php

declare(strict_types=1);

namespace App\Http\Requests\Observe;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Peers\ContributionRequest;
use App\Models\ObservationGround;
use App\Models\Slot;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use LogicException;

/**
 * Another time for a slot.
 */
final class MoveSlotRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('slot', Slot::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'ground' => [
                'required', Rule::exists('observation_grounds', 'public_id')->where('assignment_id', $this->bound('slot', Slot::class)->assignment_id),
            ],
            'at' => ['required', 'string', ContributionRequest::time()],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['ground.*' => 'Choose a room and day that is planned for observing.'];
    }

    public function ground(): ObservationGround
    {
        return ObservationGround::query()->where('public_id', $this->string('ground'))->firstOrFail();
    }

    public function at(): Carbon
    {
        return LocalTime::parse($this->string('at')->toString()) ?? throw new LogicException('Checked by the rules.');
    }
}
