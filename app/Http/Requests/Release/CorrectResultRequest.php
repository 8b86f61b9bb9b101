<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\Moderate\OfferRequest;
use App\Models\Result;
use App\Models\Review;
use App\Models\Script;

/**
 * A corrected result: the mark as it is agreed now, and what the student reads of the change.
 */
final class CorrectResultRequest extends OfferRequest
{
    protected function guard(): array
    {
        return ['correct', $this->bound('result', Result::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'what_changed' => ['required', 'string', 'min:20', 'max:4000'], 'review' => ['nullable', 'string', 'max:40'],
        ] + parent::rules();
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'what_changed.*' => 'Say in a sentence or two what changed and why (20 letters at least): the student reads it. Nothing was released.',
        ] + parent::messages();
    }

    protected function script(): Script
    {
        return $this->bound('result', Result::class)->script->leadScript();
    }

    /** The open review that asked for it, if it was opened from one. */
    public function review(): ?Review
    {
        return $this->filled('review')
            ? Review::query()->where('public_id', $this->string('review')->toString())
                ->where('result_id', $this->bound('result', Result::class)->id)->firstOrFail()
            : null;
    }
}
