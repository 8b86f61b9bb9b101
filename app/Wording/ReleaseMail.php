<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Assignment;
use App\Models\Script;
use YoungHarbor\Core\Collect\Placeholders;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * The mail that says a result is there: in the coordinator's words, and never with the mark in it.
 */
final class ReleaseMail
{
    public const PLACEHOLDERS = ['name', 'first name', 'assignment', 'module', 'link'];

    public static function usualSubject(): string
    {
        return (string) __('release.mail.subject');
    }

    public static function usualBody(): string
    {
        return (string) __('release.mail.body');
    }

    /**
     * @throws InvalidInput naming what is filled in nowhere, or that the link is missing
     */
    public static function check(string $subject, string $body): void
    {
        preg_match('/\{\s*(mark|grade|band|result|score)\s*\}/iu', $subject.$body, $found);
        isset($found[1]) && throw InvalidInput::at('body', (string) __('release.mail.no_mark', ['word' => $found[1]]));
        Placeholders::check($subject, array_values(array_diff(self::PLACEHOLDERS, ['link'])));
        Placeholders::check($body, self::PLACEHOLDERS);
        str_contains($body, '{link}') || throw InvalidInput::at('body', (string) __('release.mail.no_link'));
    }

    /**
     * @param  string  $link  a whole address
     * @return array{string, string} subject and body for one student
     */
    public static function filled(
        string $subject, string $body, Assignment $assignment, Script $script, string $link,
    ): array {
        $values = ['link' => $link] + StudentPlaceholders::of($assignment, $script);

        return [
            (string) preg_replace('/[\r\n]+/', ' ', Placeholders::fill($subject, $values)),
            Placeholders::fill($body, $values),
        ];
    }
}
