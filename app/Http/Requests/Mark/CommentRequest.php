<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Actions\Mark\SyncDesk;
use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * What a marker says of the whole.
 */
final class CommentRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['write', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'general_comment' => ['nullable', 'string', 'max:'.SyncDesk::LONGEST],
            'reason' => ['nullable', 'string', 'max:'.SyncDesk::LONGEST],
            'private_note' => ['nullable', 'string', 'max:'.SyncDesk::LONGEST],
        ];
    }
}
