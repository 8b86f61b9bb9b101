<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Exceptions\Refused;
use App\Http\Requests\GuardedRequest;
use App\Models\Script;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Seat;

/**
 * A mark for a script, in total or criterion by criterion, with what its student is to read.
 */
abstract class OfferRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'how' => ['nullable', Rule::in(['total', 'criteria'])],
            'mark' => [$this->input('how') === 'criteria' ? 'nullable' : 'required', 'string', 'max:10'],
            'criteria' => ['nullable', 'array', 'max:200'],
            'from' => ['nullable', 'array', 'max:3'],
            'from.*' => [Rule::in([Seat::First->value, Seat::Second->value, Seat::Third->value])],
            'own_general' => ['nullable', 'in:1'], 'general' => ['nullable', 'string', 'max:20000'],
            'reason' => ['required', 'string', 'min:10', 'max:4000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'mark.required' => 'Write the mark, or set it criterion by criterion.',
            'reason.*' => 'Write the reason in a sentence (10 letters at least): the other marker, the examiner and the student’s working will show it.',
        ];
    }

    protected function script(): Script
    {
        return $this->bound('script', Script::class);
    }

    /**
     * @throws Refused
     */
    public function offer(): MarkOffer
    {
        $script = $this->script();
        $from = (array) $this->input('from', []);
        $feedback = Feedback::fromArray([
            'from' => $from === [] ? [Seat::First->value] : $from,
            'general' => $this->boolean('own_general') ? (string) $this->input('general') : null,
        ]);
        $reason = $this->string('reason')->trim()->value();
        $rubric = $script->mark(Seat::First)?->rubricVersion->toCore()
            ?? throw new Refused('There is no first mark yet.');
        $isByCriterion = $this->input('how') === 'criteria';
        try {
            return $isByCriterion
                ? MarkOffer::byCriterion($rubric, (array) $this->input('criteria', []), $feedback, $reason)
                : MarkOffer::total($this->string('mark')->trim()->value(), $feedback, $reason);
        } catch (InvalidInput $e) {
            throw new Refused(
                implode(' ', array_map(fn (Fault $fault) => $fault->what, $e->faults)), $isByCriterion ? 'criteria' : 'mark',
            );
        }
    }
}
