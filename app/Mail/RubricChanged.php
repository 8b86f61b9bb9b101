<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Assignment;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells a student that what their work is marked by has changed.
 */
final class RubricChanged extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly Assignment $assignment,
        public readonly User $student,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'The rubric of '.$this->assignment->title.' has changed');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.rubric-changed');
    }
}
