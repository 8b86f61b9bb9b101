<?php

declare(strict_types=1);

namespace App\Actions\FirstFeedback;

use App\Enums\AskedState;
use App\Exceptions\Refused;
use App\FirstFeedback\WhyNotAsked;
use App\Jobs\AskAssistantJob;
use App\Models\DraftCheck;
use App\Models\FirstFeedback;
use App\Models\Script;
use Illuminate\Support\Facades\DB;

/**
 * A student asks the outside assistant for first remarks on a draft of theirs, so often as their assignment says.
 */
final class AskAssistant
{
    /**
     * @throws Refused
     */
    public function __invoke(DraftCheck $draft): FirstFeedback
    {
        return DB::transaction(function () use ($draft): FirstFeedback {
            $script = Script::query()->lockForUpdate()->findOrFail($draft->script_id);
            $asked = FirstFeedback::query()->where('draft_check_id', $draft->id)->lockForUpdate()->first();
            $asked === null || $asked->state === AskedState::Failed || $asked->isLost()
                || throw new Refused((string) __('first-feedback.once'));
            WhyNotAsked::of($draft->setRelation('script', $script)) === null
                || throw new Refused((string) WhyNotAsked::of($draft));
            $fields = ['state' => AskedState::Asked, 'failure' => null];
            $asked === null ? $asked = FirstFeedback::query()->create($fields + [
                'draft_check_id' => $draft->id, 'script_id' => $script->id, 'student_id' => $draft->student_id,
            ]) : $asked->fill($fields)->touch();
            AskAssistantJob::dispatch($asked->id)->afterCommit();

            return $asked->refresh();
        });
    }
}
