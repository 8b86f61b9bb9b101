<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Extension;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells a student of more time for one assignment.
 */
final class ExtensionGiven extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(public readonly Extension $extension)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'More time for '.$this->extension->assignment->title);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.extension-given');
    }
}
