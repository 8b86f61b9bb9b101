<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Names;

/**
 * Finds an author in words that were read from a picture, where letters are mistaken for others: a word that is a part
 * of the name but for a letter in five, a number but for a digit, and what stands behind a label such as "Name:".
 *
 * In a picture nothing else tells who is meant, so that a family name alone counts too. The measure is the edit
 * distance (Levenshtein 1966); the share of letters allowed is our own.
 */
final readonly class PictureNames
{
    private const SHORTEST = 4;

    /** Of so many letters one may be another. */
    private const ONE_IN = 5;

    private const LABELS = '/\A(?:name|names|student|candidate|author|surname|forename|matriculation|registration|submitted|by)\W*\z/iu';

    private const NOT_A_NAME = '/\A(?:number|no|nr|id|by|name|names|of|the|is|and|[:.,;–-]+)\W*\z/iu';

    /**
     * @param  list<string>  $parts  of names, in small letters without accents
     * @param  list<string>  $numbers  their digits
     */
    private function __construct(
        private array $parts,
        private array $numbers,
    ) {
    }

    /**
     * @param  list<array{name: string, number: string|null, email: string|null}>  $authors
     */
    public static function of(array $authors): self
    {
        $parts = $numbers = [];
        foreach ($authors as $author) {
            $before = strstr((string) $author['email'], '@', true);
            foreach (
                [...(preg_split('/[\s\p{Z}-]+/u', $author['name']) ?: []), $before === false ? '' : $before] as $part
            ) {
                $letters = self::letters($part);
                OrdinaryWords::has($part) || mb_strlen($letters) < self::SHORTEST || $parts[] = $letters;
            }
            $digits = (string) preg_replace('/\D+/', '', (string) $author['number']);
            strlen($digits) < 5 || $numbers[] = $digits;
        }

        return new self(array_values(array_unique($parts)), array_values(array_unique($numbers)));
    }

    /**
     * @param  list<string>  $words  of one line of a picture
     * @return list<int> which of them to cover
     */
    public function in(array $words): array
    {
        $named = [];
        foreach ($words as $n => $word) {
            if ($this->isNamed($word)) {
                $named[] = $n;
            }
            if ($n < 3 && preg_match(self::LABELS, $word) === 1) {
                array_push($named, ...$this->behind($words, $n));
            }
        }
        $named = array_values(array_unique($named));
        sort($named);

        return $named;
    }

    /**
     * What stands behind a label. "By" begins many lines; a name behind it is written with a capital, in a short line.
     *
     * @param  list<string>  $words
     * @return list<int>
     */
    private function behind(array $words, int $label): array
    {
        $rest = array_values(
            array_filter(
                array_keys($words),
                fn (int $n) => $n > $label && $n <= $label + 6 && preg_match(self::NOT_A_NAME, $words[$n]) !== 1,
            )
        );
        if (preg_match('/\Aby\W*\z/iu', $words[$label]) === 1) {
            return count($words) > 6
                ? []
                : array_values(array_filter($rest, fn (int $n) => preg_match('/\A\p{Lu}/u', $words[$n]) === 1));
        }

        return str_contains(implode(' ', array_slice($words, 0, $label + 3)), ':') || count($words) <= 4 ? $rest : [];
    }

    private function isNamed(string $word): bool
    {
        $digits = (string) preg_replace(
            '/\D+/', '', strtr($word, ['O' => '0', 'o' => '0', 'l' => '1', 'I' => '1', 'S' => '5']),
        );
        foreach ($this->numbers as $number) {
            if (abs(strlen($digits) - strlen($number)) <= 1 && levenshtein($digits, $number) <= 1) {
                return true;
            }
        }
        $letters = self::letters($word);
        foreach ($this->parts as $part) {
            $allowed = intdiv(strlen($part), self::ONE_IN);
            $isNear = strlen($letters) < 60 && abs(strlen($letters) - strlen($part)) <= $allowed
                && levenshtein($letters, $part) <= $allowed;
            if ($isNear || (strlen($part) >= 6 && str_contains($letters, $part))) {
                return true;
            }
        }

        return false;
    }

    private static function letters(string $word): string
    {
        return (string) preg_replace('/[^\p{L}\p{N}]+/u', '', mb_strtolower(Letters::of($word, true)->plain));
    }
}
