<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Models\Round;
use App\Wording\LocalTime;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use LogicException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Peers\Method;
use YoungHarbor\Core\Peers\NamesShown;
use YoungHarbor\Core\Peers\ReviewedAt;
use YoungHarbor\Core\Peers\ReviewingWeights;
use YoungHarbor\Core\Peers\ReviewsSeen;
use YoungHarbor\Core\Peers\RoundSettings;
use YoungHarbor\Core\Peers\StaffSee;

/**
 * The form of a round.
 */
final class RoundRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->assignment()];
    }

    public function assignment(): Assignment
    {
        $round = $this->route('round');

        return $round instanceof Round ? $round->assignment : $this->bound('assignment', Assignment::class);
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $time = ['string', function (string $field, mixed $value, Closure $fail): void {
            try {
                LocalTime::parse(is_string($value) ? $value : '-');
            } catch (InvalidArgumentException $e) {
                $fail('Write a day and time; '.$e->getMessage().'.');
            }
        }];

        return [
            'title' => ['required', 'string', 'max:120'],
            'kind' => ['required', 'in:peers,self,both'],
            'on' => ['required', Rule::enum(ReviewedAt::class)],
            'each' => ['required', 'integer', 'min:1', 'max:'.RoundSettings::MOST_EACH],
            'begins_at' => ['required', ...$time], 'due_at' => ['required', ...$time],
            'answers_due_at' => ['nullable', ...$time],
            'criteria' => ['nullable', 'array'], 'criteria.*' => ['string', 'max:100'],
            'least_words' => ['required', 'integer', 'min:0', 'max:'.RoundSettings::MOST_WORDS],
            'share' => ['required', 'integer', 'min:0', 'max:100'],
            'reviewing' => ['required', 'integer', 'min:0', 'max:100'],
            'method' => ['required', Rule::enum(Method::class)],
            'names' => ['required', Rule::enum(NamesShown::class)],
            'seen' => ['required', Rule::enum(ReviewsSeen::class)],
            'marks_seen' => ['nullable', 'in:0,1'], 'self_first' => ['nullable', 'in:0,1'],
            'staff_see' => ['nullable', Rule::enum(StaffSee::class)], 'without' => ['nullable', 'in:0,1'],
            'trial_pass' => ['nullable', 'integer', 'min:1', 'max:100'],
            'replan' => ['nullable', 'string', 'max:60', 'regex:/^\s*\d{0,3}(\s*,\s*\d{1,3})*\s*$/'],
            'weights' => ['required', 'array'], 'weights.*' => ['nullable', 'integer', 'min:0', 'max:100'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['replan.regex' => (string) __('peers.replan_format')];
    }

    /**
     * @throws ValidationException for what the core finds wrong with it
     */
    public function settings(): RoundSettings
    {
        $in = $this->validated();
        $all = array_map(fn ($one) => $one->id(), $this->assignment()->rubricVersion?->toCore()->criteria ?? []);
        $criteria = array_values((array) ($in['criteria'] ?? []));
        try {
            return RoundSettings::fromArray([
                'on' => $in['on'], 'peers' => $in['kind'] !== 'self', 'self' => $in['kind'] !== 'peers',
                'each' => (int) $in['each'], 'criteria' => array_diff($all, $criteria) === [] ? [] : $criteria,
                'least_words' => (int) $in['least_words'], 'share' => (int) $in['share'],
                'reviewing' => (int) $in['reviewing'], 'method' => $in['method'], 'names' => $in['names'],
                'without' => $this->boolean('without'), 'seen' => $in['seen'],
                'marks_seen' => $this->boolean('marks_seen'), 'self_first' => $this->boolean('self_first'),
                'staff_see' => $in['staff_see'] ?? StaffSee::Nothing->value,
                'trial_pass' => isset($in['trial_pass']) ? (int) $in['trial_pass'] : null,
                'replan' => array_map(
                    intval(...),
                    preg_split('/[\s,]+/', (string) ($in['replan'] ?? ''), flags: PREG_SPLIT_NO_EMPTY) ?: [],
                ),
                'weights' => array_map(
                    intval(...), array_intersect_key($in['weights'], array_flip(ReviewingWeights::PARTS)),
                ),
            ]);
        } catch (InvalidInput $e) {
            $messages = [];
            foreach ($e->faults as $fault) {
                $messages[$fault->place][] = $this->inWords($fault);
            }
            throw ValidationException::withMessages($messages);
        }
    }

    private function inWords(Fault $fault): string
    {
        return (string) __("peers.field.{$fault->place}").' '.$fault->what.'.';
    }

    /**
     * @return array{begins_at: Carbon, due_at: Carbon, answers_due_at: Carbon|null}
     */
    public function times(): array
    {
        $at = fn (string $field): Carbon => LocalTime::parse($this->string($field)->toString())
            ?? throw new LogicException('Checked by the rules.');

        return [
            'begins_at' => $at('begins_at'), 'due_at' => $at('due_at'),
            'answers_due_at' => $this->filled('answers_due_at') ? $at('answers_due_at') : null,
        ];
    }
}
