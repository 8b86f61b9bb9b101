<?php

declare(strict_types=1);

namespace App\Documents;

use App\Logbook\Excerpt;
use InvalidArgumentException;
use JsonException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\ChainFault;
use YoungHarbor\Core\Release\PackManifest;
use ZipArchive;

/**
 * A pack as a ZIP on disk, read to be checked.
 */
final class PackFile
{
    /** Bytes that one entry may unpack to. */
    private const MOST = 512 * 1024 * 1024;

    /** And of what is read into memory: the logbook of some hundred thousand lines. */
    private const MOST_TEXT = 64 * 1024 * 1024;

    /**
     * @param  string|null  $key  the published key; the one in the pack when null, which proves only that it is chained
     * @return int files in it, the manifest among them
     *
     * @throws InvalidInput with each fault
     */
    public function verify(string $path, ?string $key): int
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw InvalidInput::at('', 'this is no ZIP that can be read');
        }
        try {
            $manifest = PackManifest::fromArray($this->json($zip, PackManifest::NAME));
            $found = [];
            $faults = [];
            for ($n = 0; $n < $zip->numFiles; $n++) {
                $entry = $zip->statIndex($n);
                $name = (string) ($entry['name'] ?? '');
                if (isset($found[$name])) {
                    $faults[] = new Fault('', "{$name} is in it twice");
                }
                // A folder is nothing; what only looks like one is a file that nobody named.
                $isFolder = str_ends_with($name, '/') && ($entry['size'] ?? 0) === 0;
                if ($name !== PackManifest::NAME && ! $isFolder) {
                    $found[$name] = $this->hash($zip, $n, (int) ($entry['size'] ?? 0), $name);
                }
            }
            array_push($faults, ...array_map(fn (string $fault) => new Fault('', $fault), $manifest->faults($found)));
            array_push($faults, ...$this->logbookFaults($zip, $key));
            $faults === [] || throw new InvalidInput($faults);

            return count($found) + 1;
        } finally {
            $zip->close();
        }
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws InvalidInput
     */
    private function json(ZipArchive $zip, string $name): array
    {
        $text = $this->text($zip, $name);
        is_string($text) || throw InvalidInput::at('', "{$name} is missing: this is no sample pack");
        try {
            $read = json_decode($text, true, 16, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $read = null;
        }

        return is_array($read) ? $read : throw InvalidInput::at($name, 'is not JSON');
    }

    /**
     * @return string|null null when it is not there
     *
     * @throws InvalidInput when it unpacks to more than is read into memory
     */
    private function text(ZipArchive $zip, string $name): ?string
    {
        $text = $zip->getFromName($name, self::MOST_TEXT + 1);
        if (is_string($text) && strlen($text) > self::MOST_TEXT) {
            throw InvalidInput::at('', "{$name} is larger than a pack holds");
        }

        return is_string($text) ? $text : null;
    }

    /**
     * @throws InvalidInput for an entry that unpacks to more than a pack holds
     */
    private function hash(ZipArchive $zip, int $index, int $size, string $name): string
    {
        $size <= self::MOST || throw InvalidInput::at('', "{$name} is larger than a pack holds");
        $stream = $zip->getStreamIndex($index);
        is_resource($stream) || throw InvalidInput::at('', "{$name} cannot be unpacked");
        $context = hash_init('sha256');
        hash_update_stream($context, $stream, self::MOST + 1);
        fclose($stream);

        return hash_final($context);
    }

    /**
     * @return list<Fault>
     */
    private function logbookFaults(ZipArchive $zip, ?string $key): array
    {
        $text = $this->text($zip, 'logbook.jsonl');
        if (! is_string($text)) {
            return [new Fault('', 'logbook.jsonl is missing: a pack holds the part of the logbook about it')];
        }
        try {
            $excerpt = Excerpt::fromJson($text);
        } catch (InvalidArgumentException $e) {
            return [new Fault('logbook.jsonl', $e->getMessage())];
        }
        $inside = json_decode((string) strtok($text, "\n"), true)['public_key'] ?? '';

        return array_map(
            fn (ChainFault $fault) => new Fault('logbook.jsonl', __(
                "logbook.faults.{$fault->why->value}", ['line' => $fault->line, 'other' => $fault->other],
            )),
            Chain::verify($excerpt->lines, $excerpt->head, $key ?? (is_string($inside) ? $inside : ''))->faults,
        );
    }
}
