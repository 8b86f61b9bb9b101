<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Script;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells a student that an entry of the conversation record is for them to read. What it says stays out of the mail.
 */
final class WroteToYou extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(public readonly Script $script)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'About your work: '.$this->script->assignment->title);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.wrote-to-you');
    }
}
