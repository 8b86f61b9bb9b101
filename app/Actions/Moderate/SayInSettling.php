<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Exceptions\Refused;
use App\Models\Script;
use App\Models\SettleMessage;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * What people who settle a script write to each other. Students never read it; the examiner does.
 */
final class SayInSettling
{
    /**
     * @throws Refused once the result is out
     */
    public function __invoke(Script $script, User $author, string $body): SettleMessage
    {
        return DB::transaction(function () use ($script, $author, $body): SettleMessage {
            $stored = Script::query()->lockForUpdate()->findOrFail($script->id);
            $stored->result()->exists()
                && throw new Refused('Its result is out. What you wrote was not kept: copy it if you need it.', 'body');

            return SettleMessage::query()->create([
                'script_id' => $stored->id, 'author_id' => $author->id, 'body' => $body,
            ]);
        });
    }
}
