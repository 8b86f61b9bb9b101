<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\User;
use Illuminate\Validation\ValidationException;

/**
 * Reads people from lines as one would type or paste them: name, mail address, number, section, parted by commas,
 * semicolons or tabs.
 */
final class PeopleLines
{
    /**
     * @return list<array{name: string, email: string, number: string|null, section: string|null}>
     *
     * @throws ValidationException naming every line that cannot be read; nobody is added then
     */
    public static function read(string $lines): array
    {
        $people = [];
        $faults = [];
        $mails = [];
        foreach (preg_split('/\R/u', $lines) ?: [] as $n => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = array_map(trim(...), preg_split('/[,;\t]/', $line) ?: []);
            [$name, $email, $number, $section] = array_pad($cells, 4, '');
            $email = mb_strtolower($email);
            $fault = match (true) {
                $name === '' => 'has no name',
                mb_strlen($name) > 150 => 'has a name longer than 150 characters',
                filter_var(
                    $email, FILTER_VALIDATE_EMAIL,
                ) === false => "has no e-mail address in its second place (\"{$email}\")",
                isset($mails[$email]) => "repeats the e-mail address of line {$mails[$email]}",
                default => null,
            };
            if ($fault !== null) {
                $faults[] = 'Line '.($n + 1).' '.$fault.'.';
            }
            $mails[$email] ??= $n + 1;
            $people[] = [
                'name' => $name, 'email' => $email, 'number' => $number === '' ? null : $number,
                'section' => $section === '' ? null : $section,
            ];
        }
        $numbers = array_filter(array_column($people, 'number'));
        $taken = User::query()->whereIn('number', $numbers)->whereNotIn('email', array_column($people, 'email'))
            ->pluck('number')->all();
        foreach (
            [
                ...$taken, ...array_keys(array_filter(array_count_values($numbers), fn (int $times) => $times > 1)),
            ] as $number
        ) {
            $faults[] = "The number {$number} belongs to more than one person.";
        }
        if ($faults !== [] || $people === []) {
            throw ValidationException::withMessages(
                ['lines' => [...array_slice($faults, 0, 20), 'Nobody was added; mend the lines and add them again.']]
            );
        }

        return $people;
    }
}
