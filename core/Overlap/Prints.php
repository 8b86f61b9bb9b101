<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * What an index holds of a text: fingerprints that find identical runs, and looser ones that find wording that was
 * changed here and there.
 *
 * Loose prints are triples of neighbouring long words (five letters or more; three in scripts other than Latin, where
 * words are shorter), whatever stands between them. Of these three in four are kept, by their own hash alone: a triple
 * that was not touched is then kept in both texts, whatever was changed beside it, while winnowing would choose anew
 * wherever a neighbour changed. (U. Manber, "Finding similar files in a large file system", USENIX Winter 1994, keeps
 * hashes by their value so.) They are salted, so that both kinds live in one index without being taken for each other.
 */
final readonly class Prints
{
    /**
     * So many loose prints in common make a text worth aligning; in a large archive, where chance meets more often, so
     * many.
     */
    public const LOOSE_ENOUGH = 2;

    public const LOOSE_ENOUGH_FAR = 3;

    private const LONG = 5;

    private const LONG_ELSEWHERE = 3;

    private const SALT = 0x5DEECE66D1CE4E5;

    /** Where in a hash the two bits are that say whether a loose print is kept: not when both are set. */
    private const KEPT_BY = 17;

    /**
     * @param  list<int>  $same  each once
     * @param  list<int>  $loose  each once
     */
    private function __construct(
        public array $same,
        public array $loose,
    ) {
    }

    /**
     * @param  list<string>  $words  normalised
     * @param  list<list<string>>  $given  texts that were given, such as the brief: what stands in them is not kept
     */
    public static function of(array $words, array $given = []): self
    {
        $winnowing = new Winnowing;
        $skipped = $skippedLoose = [];
        foreach ($given as $text) {
            $skipped += array_fill_keys(Grams::of(Grams::numbers($text), $winnowing->k), true);
            $skippedLoose += array_fill_keys(self::triples($text), true);
        }

        return new self(
            self::hashes($winnowing->fingerprints($words, $skipped)),
            self::threeInFour(self::triples($words), $skippedLoose),
        );
    }

    /**
     * Every hash that prints of these words could hold, whatever was skipped: for taking a text out of an index.
     *
     * @param  list<string>  $words
     * @return list<int>
     */
    public static function possible(array $words): array
    {
        return array_keys(
            array_fill_keys([...Grams::of(Grams::numbers($words), (new Winnowing)->k), ...self::triples($words)], true)
        );
    }

    /**
     * @return list<int>
     */
    public function all(): array
    {
        return [...$this->same, ...$this->loose];
    }

    /**
     * @param  list<string>  $words
     * @return list<int>
     */
    private static function triples(array $words): array
    {
        $long = [];
        foreach ($words as $word) {
            if (
                strlen($word) >= self::LONG
                && (
                    ($length = mb_strlen($word)) >= self::LONG
                    || ($length >= self::LONG_ELSEWHERE && preg_match('/\p{Latin}/u', $word) !== 1)
                )
            ) {
                $long[] = $word;
            }
        }

        return array_map(fn (int $hash) => $hash ^ self::SALT, Grams::of(Grams::numbers($long), 3));
    }

    /**
     * @param  list<int>  $hashes
     * @param  array<int, true>  $skipped
     * @return list<int> each once
     */
    private static function threeInFour(array $hashes, array $skipped): array
    {
        $kept = [];
        foreach ($hashes as $hash) {
            if (($hash >> self::KEPT_BY & 3) !== 3 && ! isset($skipped[$hash])) {
                $kept[$hash] = true;
            }
        }

        return array_keys($kept);
    }

    /**
     * @param  list<Fingerprint>  $prints
     * @return list<int>
     */
    private static function hashes(array $prints): array
    {
        $hashes = [];
        foreach ($prints as $print) {
            $hashes[$print->hash] = true;
        }

        return array_keys($hashes);
    }
}
