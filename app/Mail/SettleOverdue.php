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
 * Tells markers that they have not agreed by the date, or a coordinator that it is theirs to decide. It names scripts
 * by their codes, and no mark.
 */
final class SettleOverdue extends Mailable
{
    use Queueable;
    use SerializesModels;

    /**
     * @param  list<string>  $codes
     * @param  bool  $isDecision  whether a coordinator is to decide
     */
    public function __construct(
        public readonly Assignment $assignment,
        public readonly User $person,
        public readonly array $codes,
        public readonly bool $isDecision,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: trans_choice(
            $this->isDecision ? 'moderate.mail.decide' : 'moderate.mail.settle', count($this->codes),
            ['count' => count($this->codes), 'assignment' => $this->assignment->title],
        ));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.settle-overdue');
    }
}
