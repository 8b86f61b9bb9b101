<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * A link that signs someone in once.
 */
final class SignInByLink extends Mailable
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
        return new Envelope(
            subject: __('accounts.mail.link_subject', ['institution' => (string) config('harbor.institution')]),
        );
    }

    public function content(): Content
    {
        return new Content(text: 'mail.sign-in-link', with: [
            'link' => route('sign-in.link.show', $this->token), 'minutes' => SignInLink::MINUTES,
        ]);
    }
}
