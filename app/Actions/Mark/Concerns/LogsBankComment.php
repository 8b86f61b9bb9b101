<?php

declare(strict_types=1);

namespace App\Actions\Mark\Concerns;

use App\Logbook\Entry;
use App\Logbook\LogEvent;
use App\Models\BankComment;
use App\Models\User;

/**
 * The logbook says who deleted a comment of a team’s set, or brought it back; of one’s own set it says nothing. Whoever
 * uses it has the logbook.
 */
trait LogsBankComment
{
    private function log(LogEvent $event, BankComment $comment, User $by): void
    {
        $module = $comment->set->module;
        $module === null
            || $this->logbook->write(
                Entry::of($event)->in($module)->saying(title: $comment->set->title, label: $comment->label)->by($by)
            );
    }
}
