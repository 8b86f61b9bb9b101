<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\Round;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * A trial script with the marks that staff set, and why.
 */
final class TrialScriptRequest extends GuardedRequest
{
    use ReadsChoices;

    protected function guard(): array
    {
        return ['coordinate', $this->bound('round', Round::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'], 'text' => ['required', 'string', 'min:40', 'max:60000'],
            'marks' => ['required', 'array'], 'marks.*' => ['array'], 'marks.*.comment' => ['nullable', 'string', 'max:5000'],
        ];
    }

    public function choices(): CriterionMarks
    {
        $round = $this->bound('round', Round::class);

        return $this->choicesOn(
            $round->assignment->rubricVersion?->toCore()->only($round->settings->criteria)
                ?? throw ValidationException::withMessages(['marks' => __('peers.needs_rubric')]),
        );
    }
}
