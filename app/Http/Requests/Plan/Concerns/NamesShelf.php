<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan\Concerns;

use App\Models\Module;
use App\Queries\Plan\RubricLibrary;
use Illuminate\Validation\Rule;

/**
 * The shelf of the library that something is put on: one's own, a module's, or the institution's.
 */
trait NamesShelf
{
    /**
     * @return array<string, mixed>
     */
    private function shelfRule(): array
    {
        return ['to' => ['required', Rule::in(array_keys(RubricLibrary::shelves($this->person())))]];
    }

    /** The module whose shelf it is; null for one's own and the institution's. */
    public function module(): ?Module
    {
        return in_array($this->validated('to'), ['own', 'institution'], true)
            ? null
            : Module::query()->where('public_id', $this->validated('to'))->sole();
    }

    public function isForInstitution(): bool
    {
        return $this->validated('to') === 'institution';
    }
}
