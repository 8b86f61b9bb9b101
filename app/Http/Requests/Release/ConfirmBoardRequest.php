<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Module;

/**
 * A board confirmed a module's results, as they stood on the sheet it had before it.
 */
final class ConfirmBoardRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'seen' => ['required', 'string', 'size:64'], 'sure' => ['required', 'accepted'],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'sure.*' => 'Tick the box first: it is there so that this is not done by a slip. Nothing was confirmed.',
            'note.max' => 'The note has 500 characters at most. Nothing was confirmed; it stands in the field.',
            'seen.*' => 'Open the board sheet and confirm it there. Nothing was confirmed.',
        ];
    }
}
