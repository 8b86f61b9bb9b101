<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\MailState;
use App\Jobs\SendNoticesJob;
use App\Models\Assignment;
use App\Models\Notice;

/**
 * Tries those mails of an assignment again that were given up.
 */
final class MailAgain
{
    /** @return int how many */
    public function __invoke(Assignment $assignment): int
    {
        $count = Notice::query()->where('assignment_id', $assignment->id)->where('mail', MailState::Failed)
            ->update(['mail' => MailState::Waiting, 'tries' => 0, 'mail_from' => now()]);
        $count === 0 || SendNoticesJob::dispatch();

        return $count;
    }
}
