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
 * A link to choose a new password. It works once, for an hour.
 */
final class NewPassword extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly User $user,
        public readonly string $token,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'A new password for '.config('harbor.institution'));
    }

    public function content(): Content
    {
        return new Content(
            text: 'mail.new-password',
            with: ['link' => route('password.reset', ['token' => $this->token, 'email' => $this->user->email])],
        );
    }
}
