<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Module;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells the coordinators of a module that there is another one, who sees what they see.
 */
final class NewCoordinator extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly Module $module,
        public readonly User $who,
        public readonly ?User $by,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "{$this->who->name} coordinates {$this->module->fullTitle()} now");
    }

    public function content(): Content
    {
        return new Content(text: 'mail.new-coordinator');
    }
}
