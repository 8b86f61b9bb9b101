<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where the mail of a notice is.
 */
enum MailState: string
{
    case None = 'none';
    case Waiting = 'waiting';
    case Daily = 'daily';
    case Sending = 'sending';
    case Sent = 'sent';
    case Failed = 'failed';
}
