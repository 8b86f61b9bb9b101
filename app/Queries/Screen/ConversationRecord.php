<?php

declare(strict_types=1);

namespace App\Queries\Screen;

use App\Models\ConversationEntry;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/**
 * The conversation record of a script as one person may see it.
 */
final class ConversationRecord
{
    /**
     * @return array{entries: iterable<ConversationEntry>|null, named: list<string>, staff: array<string, string>} entries are null for who may not see them
     */
    public function of(Script $script, User $reader): array
    {
        $coordinates = Gate::forUser($reader)->allows('coordinate', $script);

        return [
            'entries' => Gate::forUser($reader)->allows('viewConversation', $script)
                ? ConversationEntry::query()->where('script_id', $script->id)->with('by:id,name')->latest('id')->get()
                : null,
            'named' => array_values(
                DB::table('conversation_people as p')->join('users as u', 'u.id', '=', 'p.user_id')
                    ->where('p.script_id', $script->id)->orderBy('u.name')->pluck('u.name')->map(strval(...))->all()
            ),
            'staff' => $coordinates ? DB::table('memberships as m')->join('users as u', 'u.id', '=', 'm.user_id')
                ->where('m.module_id', $script->assignment->module_id)->where('m.role', 'tutor')->whereNull('m.left_at')
                ->whereNotIn(
                    'u.id', DB::table('conversation_people')->where('script_id', $script->id)->select('user_id'),
                )->orderBy('u.name')->pluck('u.name', 'u.public_id')->map(strval(...))->all() : [],
        ];
    }
}
