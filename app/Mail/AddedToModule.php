<?php

declare(strict_types=1);

namespace App\Mail;

use App\Enums\Role;
use App\Models\Module;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/**
 * Tells someone with an account that they are in a module now, or again.
 */
final class AddedToModule extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly User $user,
        public readonly Module $module,
        public readonly Role $role,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'You are in '.$this->module->fullTitle());
    }

    public function content(): Content
    {
        return new Content(text: 'mail.added-to-module');
    }
}
