<?php

declare(strict_types=1);

namespace App\Http\Requests\Observe;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Peers\ContributionRequest;
use App\Models\Assignment;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use LogicException;

/**
 * When, where and by whom people are observed: a stretch of time in a room.
 */
final class GroundRequest extends GuardedRequest
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
        $module = $this->bound('assignment', Assignment::class)->module;
        $team = $module->members()->whereIn('role', ['coordinator', 'tutor'])->whereNull('left_at')->with('user:id,public_id')->get()
            ->pluck('user.public_id')->all();

        return [
            'room' => ['required', 'string', 'max:80'], 'from' => ['required', 'string', ContributionRequest::time()],
            'to' => ['required', 'string', ContributionRequest::time()],
            'first' => ['required', Rule::in($team)], 'second' => ['nullable', 'required_with:third', Rule::in($team), 'different:first'],
            'third' => ['nullable', Rule::in($team), 'different:first', 'different:second'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'room.*' => 'Say where it is, in 80 characters at most.', 'first.*' => 'Choose who observes, from the team of the module.',
            'second.different' => 'Two different people observe; leave the second empty where it is one.',
            'third.different' => 'Three different people observe.',
            'third.*' => 'Choose the third from the team of the module, or leave it empty.',
            'second.required_with' => 'Choose the second before the third.',
            'second.*' => 'Choose the second from the team of the module, or leave it empty.',
        ];
    }

    public function at(string $field): Carbon
    {
        return LocalTime::parse($this->string($field)->toString()) ?? throw new LogicException('Checked by the rules.');
    }

    protected function passedValidation(): void
    {
        $from = $this->at('from');
        $to = $this->at('to');
        if ($to->lte($from) || $from->diffInHours($to) > 16) {
            throw \Illuminate\Validation\ValidationException::withMessages(
                ['to' => 'It must end after it begins, on the same day: at most 16 hours later.']
            );
        }
    }

    /**
     * @return list<int>
     */
    public function observers(): array
    {
        $chosen = array_values(array_filter(
            array_map(fn (string $place) => $this->string($place)->toString(), ['first', 'second', 'third']),
        ));
        $ids = User::query()->whereIn('public_id', $chosen)->pluck('id', 'public_id');

        return array_map(fn (string $one) => (int) $ids[$one], $chosen);
    }
}
