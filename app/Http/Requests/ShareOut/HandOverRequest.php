<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\User;
use App\Queries\ShareOut\Planning;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Marking\Seat;

/**
 * One script given to another marker, and why.
 */
final class HandOverRequest extends GuardedRequest
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
        return [
            'script' => ['required', 'string', 'max:20'], 'part' => ['required', Rule::in(Seat::countingKeys())],
            'to' => ['required', Rule::in($this->people()->keys())],
            'reason' => ['required', 'string', 'min:5', 'max:300'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'to.*' => 'Choose who takes it over.',
            'reason.*' => 'Say in a few words why; it is written in the logbook.',
        ];
    }

    public function to(): User
    {
        return $this->people()->get($this->validated('to')) ?? abort(404);
    }

    /**
     * @return Collection<string, User> who may mark, by public id
     */
    private function people(): Collection
    {
        return app(Planning::class)->people($this->bound('assignment', Assignment::class))
            ->map(fn (Membership $member) => $member->user)->keyBy('public_id');
    }
}
