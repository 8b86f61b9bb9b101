<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * Chains lines of the logbook: each carries the SHA-256 (FIPS 180-4) over the hash before it, its number and the hash
 * of its content, so that a line altered, removed, added or moved changes every hash after it. Only the last hash has
 * to be
 * signed ({@see HeadKey}); and an excerpt can be verified anywhere, the lines that are not in it standing as the hashes
 * of their content.
 *
 * Free text is not part of a line's content, only a commitment to it: the text can be erased, and the line holds.
 */
final class Chain
{
    /** What stands before the first line. */
    public const BEGINNING = '0000000000000000000000000000000000000000000000000000000000000000';

    /**
     * @param  array<string, mixed>  $content  as JSON with its keys sorted, so that their order does not matter
     */
    public static function contentHash(array $content): string
    {
        return hash(
            'sha256',
            json_encode(self::sorted($content), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        );
    }

    /** The hash of a line, from the one before it. */
    public static function link(string $previous, int $number, string $contentHash): string
    {
        return hash('sha256', "{$previous}\n{$number}\n{$contentHash}");
    }

    /** What stands in a line for a free text; the salt keeps anyone from guessing a text that was erased. */
    public static function commitment(string $salt, string $text): string
    {
        return hash('sha256', "{$salt}\n{$text}");
    }

    /**
     * Walks the lines in order.
     *
     * @param  iterable<ChainedLine>  $lines
     * @param  ChainHead|null  $head  as kept apart; null when it is missing
     * @param  string  $publicKey  the published one, in hexadecimal
     * @param  int|null  $letGoTo  the line up to which contents were let go, as a line says; null where any line may
     *                             stand as the hash of its content, as in an excerpt
     */
    public static function verify(
        iterable $lines, ?ChainHead $head, string $publicKey, ?int $letGoTo = null,
    ): Verification {
        $faults = [];
        $previous = self::BEGINNING;
        $count = 0;
        $atHead = $head !== null && $head->count === 0 ? self::BEGINNING : null;
        foreach ($lines as $line) {
            $count++;
            if ($line->number !== $count) {
                $faults[] = new ChainFault(WhyBroken::LineMissing, $count, $line->number);
                $count = $line->number;
            } elseif (
                $line->contentHash() === null
                || ! hash_equals(self::link($previous, $line->number, $line->contentHash()), $line->hash)
            ) {
                $faults[] = new ChainFault(WhyBroken::NotAsWritten, $line->number);
            } elseif ($letGoTo !== null && $line->content === null && $line->number > $letGoTo) {
                $faults[] = new ChainFault(WhyBroken::ContentMissing, $line->number);
            }
            $previous = $line->hash;
            if ($head !== null && $line->number === $head->count) {
                $atHead = $line->hash;
            }
        }
        $fault = match (true) {
            $head === null => new ChainFault(WhyBroken::HeadMissing, $count),
            ! $head->isSignedBy($publicKey) => new ChainFault(WhyBroken::HeadAltered, $head->count),
            $head->count > $count => new ChainFault(WhyBroken::EndMissing, $count, $head->count),
            $atHead !== $head->hash => new ChainFault(WhyBroken::NotTheSignedLine, $head->count),
            default => null,
        };

        return new Verification($count, $fault === null ? $faults : [...$faults, $fault]);
    }

    private static function sorted(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (! array_is_list($value)) {
            ksort($value, SORT_STRING);
        }

        return array_map(self::sorted(...), $value);
    }
}
