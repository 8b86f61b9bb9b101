<?php

declare(strict_types=1);

namespace App\Http\Requests;

/**
 * Which mails a person wants.
 */
final class MailRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['daily_mail' => ['nullable', 'in:0,1'], 'no_reminders' => ['nullable', 'in:0,1']];
    }
}
