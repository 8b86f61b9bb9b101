<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\MarkAttachment;
use App\Models\Result;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;

final class MarkAttachmentPolicy
{
    /** Its marker; and once it went out with a result, that result's student and who may see the result. */
    public function view(User $user, MarkAttachment $attachment): Response
    {
        $own = Gate::forUser($user)->inspect('open', $attachment->mark);
        if ($own->allowed()) {
            return $own;
        }
        $script = $attachment->mark->script;
        $results = Result::query()
            ->whereHas('script', fn ($query) => $query->whereKey($script->id)->orWhere('lead_id', $script->id))
            ->with('script.assignment')->get();
        $released = $results->first(
            fn (Result $result) => in_array(
                $attachment->public_id, array_column($result->document['attachments'] ?? [], 'id'), true,
            )
            && Gate::forUser($user)->allows('view', $result)
        );

        return $released === null ? Response::deny('This belongs to a script that is not yours.') : Response::allow();
    }
}
