<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells someone that a second step of their sign-in was set or is gone, in case it was not them.
 */
final class SecondStepChanged extends Mailable
{
    use Queueable;
    use SerializesModels;

    /**
     * @param  'set'|'gone'|'taken_off'  $what
     */
    public function __construct(
        public readonly User $user,
        public readonly string $what,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: __("accounts.mail.second_{$this->what}_subject"));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.account-news', with: ['news' => __("accounts.mail.second_{$this->what}")]);
    }
}
