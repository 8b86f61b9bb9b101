<?php

declare(strict_types=1);

namespace App\Http\Requests\Reflect;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Peers\ContributionRequest;
use App\Models\Module;
use App\Models\ReflectionSheet;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use LogicException;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Release\SheetSettings;

/**
 * A reflection of its own: its title, prompts, time and readers.
 */
final class SheetRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->module()];
    }

    public function module(): Module
    {
        $sheet = $this->route('sheet');

        return $sheet instanceof ReflectionSheet ? $sheet->module : $this->bound('module', Module::class);
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'], 'prompts' => ['required', 'string', 'max:3200'],
            'words' => ['required', 'integer', 'min:0', 'max:'.SheetSettings::MOST_WORDS],
            'team_reads' => ['required', 'in:0,1'], 'due_at' => ['required', 'string', ContributionRequest::time()],
        ];
    }

    /**
     * @throws ValidationException for what the core finds wrong with it
     */
    public function settings(): SheetSettings
    {
        try {
            return SheetSettings::fromArray([
                'prompts' => array_values(array_filter(
                    array_map(trim(...), preg_split('/\R/u', $this->string('prompts')->toString()) ?: []),
                    fn (string $line) => $line !== '',
                )),
                'words' => $this->integer('words'), 'team_reads' => $this->boolean('team_reads'),
            ]);
        } catch (InvalidInput $e) {
            $messages = [];
            foreach ($e->faults as $fault) {
                $messages[$fault->place][] = __("sheets.field.{$fault->place}").' '.$fault->what.'.';
            }
            throw ValidationException::withMessages($messages);
        }
    }

    public function dueAt(): Carbon
    {
        return LocalTime::parse($this->string('due_at')->toString()) ?? throw new LogicException('Checked by the rules.');
    }
}
