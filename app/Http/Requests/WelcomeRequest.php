<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Rules\SafePassword;

/**
 * The password someone chooses when they come for the first time.
 */
final class WelcomeRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $user = $this->invited();

        // Of an old link nothing is asked, and nothing said of whom it was for: the page tells that it is old.
        return ! $this->holds() ? [] : [
            'password' => ['required', 'string', 'max:200', 'confirmed', new SafePassword($user->email, $user->name)],
        ];
    }

    public function invited(): User
    {
        return $this->bound('user', User::class);
    }

    /** Whether the link is as it was sent, recent, and not used yet. */
    public function holds(): bool
    {
        return $this->hasValidSignature() && $this->invited()->joined_at === null;
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'password.required' => 'Choose a password.',
            'password.confirmed' => 'The two passwords are not the same.',
        ];
    }
}
