<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\Concerns\ReadsSecondMarks;
use App\Http\Requests\GuardedRequest;
use App\Models\Module;
use YoungHarbor\Core\Marking\Scheme;

/**
 * Second marks as they stand in a form that is not saved yet.
 */
final class ForecastRequest extends GuardedRequest
{
    use ReadsSecondMarks;

    protected function guard(): array
    {
        return ['coordinate', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [...$this->secondMarkRules(), 'bands' => ['nullable', 'string'], 'formative' => ['nullable', 'in:0,1']];
    }

    public function scheme(): Scheme
    {
        return Scheme::fromArray([
            ...Scheme::usual()->toArray(), 'second' => $this->secondMarks()->value,
            'view' => $this->input('second_view'), 'sample' => $this->sampleFields(),
        ]);
    }
}
