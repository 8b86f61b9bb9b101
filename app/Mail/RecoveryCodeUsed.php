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
 * Tells someone that one of their recovery codes was used.
 */
final class RecoveryCodeUsed extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly User $user,
        public readonly int $left,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: __('accounts.mail.recovery_subject'));
    }

    public function content(): Content
    {
        return new Content(
            text: 'mail.account-news', with: ['news' => trans_choice('accounts.mail.recovery', $this->left)],
        );
    }
}
