<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Documents\GradeBookCsv;
use App\Http\Requests\GuardedRequest;
use App\Models\Module;
use Illuminate\Validation\Rule;

/**
 * Which columns of a grade book are taken away, and how a spreadsheet of the country reads them.
 */
final class TakeGradeBookRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['viewGradeBook', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'columns' => ['nullable', 'array', 'max:20'], 'columns.*' => ['string', Rule::in(GradeBookCsv::COLUMNS)],
            'separator' => ['nullable', Rule::in(array_keys(GradeBookCsv::SEPARATORS))],
            'decimals' => ['nullable', 'in:point,comma'],
        ];
    }

    /**
     * @return list<string> in their order; the usual ones where none is named
     */
    public function columns(): array
    {
        $chosen = $this->array('columns');

        return array_values(array_filter(
            GradeBookCsv::COLUMNS, fn (string $one) => $chosen === [] ? $one !== 'candidate' : in_array($one, $chosen, true),
        ));
    }

    public function separator(): string
    {
        return GradeBookCsv::SEPARATORS[$this->string('separator')->toString() ?: 'comma'];
    }

    public function decimalSign(): string
    {
        return $this->input('decimals') === 'comma' ? ',' : '.';
    }
}
