<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Handin;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells a student that what was handed in could not be read, why, and what to do.
 */
final class CouldNotBeRead extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(public readonly Handin $handin)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Could not be read: '.$this->handin->script->assignment->title);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.could-not-be-read', with: ['script' => $this->handin->script]);
    }
}
