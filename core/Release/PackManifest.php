<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What a pack says is in it: every file with its SHA-256.
 */
final readonly class PackManifest
{
    public const NAME = 'manifest.json';

    private const SHA256 = '/\A[0-9a-f]{64}\z/';

    /**
     * @param  array<string, string>  $files  SHA-256 by name, the manifest itself left out
     * @param  array<string, string|int|bool>  $about  what the pack is
     */
    public function __construct(public array $files, public array $about)
    {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"pack": {…}, "files": {"marks.csv": "…"}}
     *
     * @throws InvalidInput naming each entry that is none
     */
    public static function fromArray(array $document): self
    {
        $in = new Document;
        $in->onlyKeys($document, ['pack', 'files']);
        $files = [];
        foreach ($in->map($document, 'files', 'files') as $name => $hash) {
            if (! is_string($hash) || preg_match(self::SHA256, $hash) !== 1) {
                $in->fault("files.{$name}", 'must be a SHA-256 of 64 small hexadecimal digits');
            } else {
                $files[(string) $name] = $hash;
            }
        }
        $files === [] && $in->faults() === [] && $in->fault('files', 'names no file');
        $about = [];
        foreach ($in->map($document, 'pack', 'pack') as $key => $value) {
            is_string($value) || is_int($value) || is_bool($value)
                ? $about[(string) $key] = $value
                : $in->fault("pack.{$key}", 'must be text, a whole number, or true or false');
        }
        $in->throwFaults();

        return new self($files, $about);
    }

    /**
     * @return array{pack: array<string, string|int|bool>, files: array<string, string>}
     */
    public function toArray(): array
    {
        return ['pack' => $this->about, 'files' => $this->files];
    }

    /**
     * What does not hold.
     *
     * @param  array<string, string>  $found  SHA-256 of what is there, by name, the manifest itself left out
     * @return list<string> a sentence a fault; none when every file is there as it was, and nothing else
     */
    public function faults(array $found): array
    {
        $faults = [];
        foreach ($this->files as $name => $hash) {
            if (! isset($found[$name])) {
                $faults[] = "{$name} is missing";
            } elseif (! hash_equals($hash, $found[$name])) {
                $faults[] = "{$name} is not as it was packed: its SHA-256 is {$found[$name]}, not {$hash}";
            }
        }
        foreach (array_diff_key($found, $this->files) as $name => $hash) {
            $faults[] = "{$name} was not packed: the manifest does not name it";
        }

        return $faults;
    }
}
