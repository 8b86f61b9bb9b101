<?php

declare(strict_types=1);

namespace App\Console;

use JsonException;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Reads a JSON object that a command was given.
 */
final class JsonFiles
{
    /**
     * @param  string  $path  "-" for standard input
     * @param  string  $place  how faults name it
     * @return array<array-key, mixed>
     *
     * @throws InvalidInput
     */
    public function object(string $path, string $place): array
    {
        if ($path !== '-' && ! is_file($path)) {
            throw InvalidInput::at($place, "there is no file {$path}");
        }
        $text = (string) file_get_contents($path === '-' ? 'php://stdin' : $path);
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidInput::at($place, 'is not valid UTF-8');
        }
        try {
            $document = json_decode($text, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InvalidInput::at($place, 'is not JSON: '.$e->getMessage());
        }

        return is_array($document) && (! array_is_list($document) || $document === [])
            ? $document
            : throw InvalidInput::at($place, 'must be a JSON object');
    }
}
