<?php

declare(strict_types=1);

namespace App\Mail;

use App\Documents\Receipts;
use App\Models\Handin;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * The receipt of a hand-in, to each student whose work it is.
 */
final class HandedIn extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(public readonly Handin $handin)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Receipt: '.$this->handin->script->assignment->title);
    }

    public function content(): Content
    {
        return new Content(
            text: 'mail.handed-in',
            with: ['receipt' => app(Receipts::class)->text($this->handin), 'script' => $this->handin->script],
        );
    }
}
