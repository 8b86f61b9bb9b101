<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Result;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells a student that a result is there. The mark itself stays out of the mail.
 */
final class ResultReleased extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(public readonly Result $result)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Your result for '.$this->result->script->assignment->title);
    }

    public function content(): Content
    {
        return new Content(text: 'mail.result-released');
    }
}
