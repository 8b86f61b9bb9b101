<?php

declare(strict_types=1);

namespace App\Http\Requests\Keeping;

use App\Http\Requests\GuardedRequest;
use App\Models\Module;
use App\Models\User;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Keeping\Periods;

/**
 * For how long what is kept, in an institution or in a module.
 */
final class PeriodsRequest extends GuardedRequest
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
            'months' => ['array:'.implode(',', array_column(Kind::cases(), 'value'))],
            'months.*' => ['nullable', 'integer', 'between:1,'.Periods::MOST_MONTHS],
            'reason' => ['required', 'string', 'max:500'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'months.*.*' => __('keeping.periods.months_fault', ['most' => Periods::MOST_MONTHS]),
            'reason.required' => __('keeping.periods.reason_fault'),
        ];
    }

    public function periods(): Periods
    {
        $given = array_filter((array) $this->validated('months', []), fn (mixed $one) => $one !== null && $one !== '');

        return Periods::fromArray(array_map(intval(...), $given));
    }
}
