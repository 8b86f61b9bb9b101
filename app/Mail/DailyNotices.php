<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Notice;
use App\Models\User;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;
use Illuminate\Support\Collection;

/**
 * What was new for a person on one day.
 */
final class DailyNotices extends Mailable
{
    /**
     * @param  Collection<int, Notice>  $notices
     */
    public function __construct(public readonly User $person, public readonly Collection $notices)
    {
    }

    public function envelope(): Envelope
    {
        $count = $this->notices->count();

        return new Envelope(subject: trans_choice('notices.daily_subject', $count, ['count' => $count]));
    }

    public function headers(): Headers
    {
        return new Headers(NoticeMail::idOf('daily-'.$this->notices->firstOrFail()->public_id));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.daily-notices');
    }
}
