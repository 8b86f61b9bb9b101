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
 * Tells the old and the new address of an account that it changed hands from one to the other.
 */
final class AddressChanged extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly User $user,
        public readonly string $before,
        public readonly string $after,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: __('accounts.mail.address_subject'));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.account-news', with: [
            'news' => __('accounts.mail.address', ['before' => $this->before, 'after' => $this->after]),
        ]);
    }
}
