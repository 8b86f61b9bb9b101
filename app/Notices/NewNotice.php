<?php

declare(strict_types=1);

namespace App\Notices;

use App\Enums\NoticeKind;
use App\Models\Assignment;
use App\Models\User;

/**
 * Something to tell a person.
 */
final readonly class NewNotice
{
    /**
     * @param  string  $once  what it tells of: told once, however often it is asked for
     * @param  string  $link  a path of this application
     * @param  string|null  $body  of the mail; null: none is sent
     */
    public function __construct(
        public User $to,
        public NoticeKind $kind,
        public string $once,
        public string $title,
        public string $link,
        public ?Assignment $assignment,
        public string $subject = '',
        public ?string $body = null,
    ) {
    }
}
