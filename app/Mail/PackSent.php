<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\SamplePack;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells a moderator or an examiner that a sample pack waits for them. It names no script and no mark.
 */
final class PackSent extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(public readonly SamplePack $pack)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "A sample to read and sign: {$this->pack->assignment->title}");
    }

    public function content(): Content
    {
        return new Content(text: 'mail.pack-sent');
    }
}
