<?php

declare(strict_types=1);

namespace App\Http\Requests\Alike;

use App\Enums\CorrectionKind;
use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Models\Correction;
use App\Models\Mark;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\Seat;

/**
 * A correction of marks, to look at or to ask for.
 */
final class CorrectionRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['correct', $this->assignment()];
    }

    /** What was asked for in the address is shown beside the form, not on the page that happened to lead here. */
    protected function getRedirectUrl(): string
    {
        return $this->isMethod('get') ? route('corrections.index', $this->assignment()) : parent::getRedirectUrl();
    }

    /** A minus as programs set it is a minus. */
    protected function prepareForValidation(): void
    {
        foreach (['constant', 'factor'] as $field) {
            $given = $this->input($field);
            is_string($given) && $this->merge([$field => strtr(trim($given), ['−' => '-', '–' => '-', '+' => ''])]);
        }
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $asks = $this->isMethod('post');
        $number = 'regex:/^-?\d{1,3}(\.\d{1,3})?$/';

        return [
            'kind' => [$asks ? 'required' : 'nullable', Rule::enum(CorrectionKind::class)],
            'constant' => [$this->isKind('constant', 'line') ? 'required' : 'nullable', 'string', $number],
            'factor' => [
                $this->isKind('line') ? 'required' : 'nullable', 'string', $number, 'numeric', 'gt:0', 'max:10',
            ],
            'marker' => [$this->isKind('severity') ? 'required' : 'nullable', 'string', 'max:40'],
            'reason' => [$asks ? 'required' : 'nullable', 'string', 'min:10', 'max:1000'],
            'digest' => [$asks ? 'required' : 'nullable', 'string', 'size:64'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'kind.*' => 'Choose how marks are to be corrected.',
            'constant.*' => 'Say how many marks are added, a number such as 2, 1.5 or −3. Nothing was changed.',
            'factor.*' => 'The factor is a number above 0 and at most 10, such as 1.1. Nothing was changed.',
            'marker.*' => 'Choose whose marks are to be corrected.',
            'reason.*' => 'Say in a sentence why: whoever approves it reads it, and so does the logbook.',
            'digest.*' => 'Look at what it would do first, and ask from there.',
        ];
    }

    public function assignment(): Assignment
    {
        return $this->bound('assignment', Assignment::class);
    }

    /** What is asked about, not saved; null while nothing was chosen. */
    public function draft(): ?Correction
    {
        $kind = CorrectionKind::tryFrom((string) $this->input('kind'));
        if ($kind === null) {
            return null;
        }
        $marker = $kind === CorrectionKind::Severity ? $this->marker() : null;

        return new Correction([
            'assignment_id' => $this->assignment()->id, 'kind' => $kind, 'marker_id' => $marker?->id,
            'constant' => $kind === CorrectionKind::Severity ? '0' : $this->number('constant', '0'),
            'factor' => $kind === CorrectionKind::Line ? $this->number('factor', '1') : '1', 'working' => [],
        ]);
    }

    private function marker(): ?User
    {
        return User::query()->where('public_id', (string) $this->input('marker'))->whereIn('id', Mark::counting()
            ->where(
                'assignment_id', $this->assignment()->id,
            )->where('seat', Seat::First)->select('marker_id'))->first();
    }

    private function number(string $field, string $usual): string
    {
        $given = $this->input($field);

        return Figure::plain(BigDecimal::of(is_string($given) && $given !== '' ? $given : $usual));
    }

    private function isKind(string ...$kinds): bool
    {
        return in_array($this->input('kind'), $kinds, true);
    }
}
