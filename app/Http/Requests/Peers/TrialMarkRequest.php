<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\TrialScript;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * What a student sets on a trial script.
 */
final class TrialMarkRequest extends GuardedRequest
{
    use ReadsChoices;

    protected function guard(): array
    {
        return ['take', $this->bound('trial', TrialScript::class)->round];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'marks' => ['nullable', 'array'], 'marks.*' => ['array'],
            'marks.*.comment' => ['nullable', 'string', 'max:5000'], 'done' => ['nullable', 'in:0,1'],
        ];
    }

    public function choices(): CriterionMarks
    {
        return $this->choicesOn($this->bound('trial', TrialScript::class)->rubric());
    }

    public function isDone(): bool
    {
        return $this->boolean('done');
    }
}
