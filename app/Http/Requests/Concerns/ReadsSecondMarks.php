<?php

declare(strict_types=1);

namespace App\Http\Requests\Concerns;

use Brick\Math\BigDecimal;
use Closure;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SecondView;

/**
 * The fields of a form that say which scripts are marked a second time.
 */
trait ReadsSecondMarks
{
    /**
     * @return array<string, mixed>
     */
    private function secondMarkRules(): array
    {
        $within = fn (int $most, string $say): Closure => function (
            string $attribute, mixed $value, Closure $fail,
        ) use ($most, $say): void {
            $number = Document::parse($value);
            if ($number === null || $number->isGreaterThan($most) || $number->stripTrailingZeros()->getScale() > 2) {
                $fail($say);
            }
        };

        return [
            'second_marking' => ['required', Rule::enum(SecondMarks::class)],
            'second_view' => ['required', Rule::enum(SecondView::class)],
            'sample_share' => ['required', 'string', $within(100, 'Write a percentage from 0 to 100, such as 10.')],
            'sample_least' => ['required', 'integer', 'min:0', 'max:'.SampleRule::MOST],
            'sample_root' => ['nullable', 'in:1'], 'sample_fails' => ['nullable', 'in:1'],
            'sample_top' => ['nullable', 'in:1'],
            'sample_near' => [
                'nullable', 'string', $within(20, 'Write a number of marks from 0 to 20, such as 2, or leave it empty.'),
            ],
        ];
    }

    /**
     * @return array<string, mixed> as the scheme's "sample"
     */
    private function sampleFields(): array
    {
        return [
            'share' => (string) BigDecimal::of($this->string('sample_share')->value())->dividedBy(100, 4)
                ->stripTrailingZeros(),
            'least' => $this->integer('sample_least'), 'root' => $this->boolean('sample_root'),
            'fails' => $this->boolean('sample_fails'), 'top' => $this->boolean('sample_top'),
            'near' => $this->filled('sample_near') ? $this->string('sample_near')->value() : null,
        ];
    }

    /** Feedback without a mark has nothing to settle. */
    private function secondMarks(): SecondMarks
    {
        return $this->boolean('formative') ? SecondMarks::None : SecondMarks::from((string) $this->input('second_marking'));
    }
}
