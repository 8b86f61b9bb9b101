<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Notice;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;

/**
 * Tells one person of one thing. Sent again, it has the same Message-ID, so that a mail program shows it once.
 */
final class NoticeMail extends Mailable
{
    public function __construct(public readonly Notice $notice)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->notice->subject);
    }

    public function headers(): Headers
    {
        return new Headers(self::idOf($this->notice->public_id));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.notice');
    }

    public static function idOf(string $key): string
    {
        return $key.'@'.(parse_url((string) config('app.url'), PHP_URL_HOST) ?: 'localhost');
    }
}
