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
use Illuminate\Support\Facades\URL;

/**
 * Asks someone who was added to a module to choose a password. The link works once, for two weeks.
 */
final class Welcome extends Mailable
{
    use Queueable;
    use SerializesModels;

    public function __construct(
        public readonly User $user,
        public readonly ?Module $module,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Your account for '.($this->module?->fullTitle() ?? config('harbor.institution')));
    }

    public function content(): Content
    {
        return new Content(text: 'mail.welcome', with: [
            'link' => URL::temporarySignedRoute('welcome', now()->addDays(14), ['user' => $this->user->public_id]),
        ]);
    }
}
