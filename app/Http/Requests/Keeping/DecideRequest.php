<?php

declare(strict_types=1);

namespace App\Http\Requests\Keeping;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Models\Module;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Keeping\Kind;

/**
 * What becomes of things whose period is over.
 */
final class DecideRequest extends GuardedRequest
{
    protected function guard(): array
    {
        $module = $this->route('module');

        return $module instanceof Module ? ['keep', $module] : ['administer', User::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'things' => ['required', 'array', 'max:500'], 'things.*' => ['string', 'max:80'],
            'do' => ['required', 'in:go,longer'],
            'until' => [
                'required_if:do,longer', 'nullable', 'date_format:Y-m-d', 'after:today',
                'before:'.now()->addYears(20)->format('Y-m-d'),
            ],
            'reason' => ['required_if:do,longer', 'nullable', 'string', 'max:500'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'things.required' => __('keeping.due.choose'), 'until.*' => __('keeping.due.until_fault'),
            'reason.required_if' => __('keeping.due.reason_fault'),
        ];
    }

    /**
     * @return list<array{Kind, Assignment|null}>
     *
     * @throws ValidationException naming what is not there
     */
    public function things(): array
    {
        $module = $this->route('module');
        $things = [];
        foreach ((array) $this->validated('things') as $key) {
            [$kind, $id] = [...explode(':', (string) $key, 2), ''];
            $kind = Kind::tryFrom($kind);
            $assignment = $id === '' ? null : Assignment::query()->where('public_id', $id)->first();
            if (
                $kind === null || in_array($kind, Kind::ofAssignments(), true) !== ($assignment !== null)
                || ($module instanceof Module && $assignment?->module_id !== $module->id)
            ) {
                throw ValidationException::withMessages(['things' => __('keeping.due.unknown')]);
            }
            $things[] = [$kind, $assignment];
        }

        return $things;
    }

    public function until(): ?Carbon
    {
        return $this->validated('do') === 'longer'
            ? Carbon::createFromFormat('!Y-m-d', (string) $this->validated('until'), LocalTime::zone())
            : null;
    }
}
