<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Wording\LocalTime;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use LogicException;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Peers\ContributionSettings;

/**
 * How members of groups rate each other's part.
 */
final class ContributionRequest extends GuardedRequest
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
            'criteria' => ['required', 'string', 'max:900'],
            'weight' => ['required', 'integer', 'min:0', 'max:100'],
            'own' => ['required', 'in:0,1'], 'silent_even' => ['required', 'in:0,1'],
            'floor' => ['nullable', 'integer', 'min:0', 'max:100'],
            'cap' => ['nullable', 'integer', 'min:100', 'max:300'],
            'due_at' => ['required', 'string', self::time()],
        ];
    }

    public static function time(): Closure
    {
        return function (string $field, mixed $value, Closure $fail): void {
            try {
                LocalTime::parse(is_string($value) ? $value : '-');
            } catch (InvalidArgumentException $e) {
                $fail('Write a day and time; '.$e->getMessage().'.');
            }
        };
    }

    /**
     * @throws ValidationException for what the core finds wrong with it
     */
    public function settings(): ContributionSettings
    {
        $in = $this->validated();
        $number = fn (string $key): ?int => isset($in[$key]) ? (int) $in[$key] : null;
        try {
            return ContributionSettings::fromArray([
                'criteria' => array_values(array_filter(
                    array_map(trim(...), preg_split('/\R/u', (string) $in['criteria']) ?: []),
                    fn (string $line) => $line !== '',
                )),
                'weight' => (int) $in['weight'], 'own' => $in['own'] === '1', 'silent_even' => $in['silent_even'] === '1',
                'floor' => $number('floor'), 'cap' => $number('cap'),
            ]);
        } catch (InvalidInput $e) {
            $messages = [];
            foreach ($e->faults as $fault) {
                $messages[$fault->place][] = __("contribution.field.{$fault->place}").' '.$fault->what.'.';
            }
            throw ValidationException::withMessages($messages);
        }
    }

    public function dueAt(): Carbon
    {
        return LocalTime::parse($this->string('due_at')->toString()) ?? throw new LogicException('Checked by the rules.');
    }
}
