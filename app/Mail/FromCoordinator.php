<?php

declare(strict_types=1);

namespace App\Mail;

use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Address;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/**
 * What a coordinator wrote to students or markers, each with a mail of their own. Answers go to the coordinator.
 */
final class FromCoordinator extends Mailable
{
    use Queueable;

    public function __construct(
        public readonly string $what,
        public readonly string $text,
        public readonly string $fromName,
        public readonly string $fromMail,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(replyTo: [new Address($this->fromMail, $this->fromName)], subject: $this->what);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.from-coordinator');
    }
}
