<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

use Normalizer;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * The words of a text, in order.
 *
 * A word is a maximal run of letters, marks, digits and format characters, with apostrophes or hyphens inside it; a
 * hyphen at a line's end joins. Words are counted before normalising. In scripts that put no spaces between words (Han,
 * kana, Thai, Lao, Khmer, Burmese, Tibetan) each letter with its marks counts as a word: where a word ends is not
 * guessed.
 */
final readonly class Words
{
    private const RUN = '[\p{L}\p{M}\p{N}\p{Cf}]+';

    /** Letters of scripts without spaces. */
    private const SPACELESS = '[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}\p{Tibetan}]';

    private const RUN_BESIDE = '(?:(?!(?='.self::SPACELESS.')\p{L})[\p{L}\p{M}\p{N}\p{Cf}])+';

    private const INSIDE = "(?:['’ʼ\\-‐‑]|[-‐]\\h*\\R\\h*)";

    /**
     * @param  list<Word>  $list
     */
    private function __construct(
        public string $text,
        public array $list,
    ) {
    }

    /**
     * @throws InvalidInput for text that is not UTF-8
     */
    public static function of(string $text): self
    {
        $pattern = preg_match('/'.self::SPACELESS.'/u', $text) === 1
            ? '(?:(?='.self::SPACELESS.')\p{L}[\p{M}\p{Cf}]*+|'.self::RUN_BESIDE.'(?:'.self::INSIDE.self::RUN_BESIDE
                .')*+)'
            : self::RUN.'(?:'.self::INSIDE.self::RUN.')*+';
        $found = preg_match_all("/{$pattern}/u", $text, $matches, PREG_OFFSET_CAPTURE);
        if ($found === false) {
            throw InvalidInput::at('text', 'is not valid UTF-8');
        }
        // Letters that only look like those around them are told apart where a text holds more than one script.
        $mixed = preg_match('/[\p{Cyrillic}\p{Greek}ɑɡı]/u', $text) === 1;
        $latin = $mixed && LookAlikes::isLatin($text);
        $words = [];
        foreach ($matches[0] as [$word, $start]) {
            $normal = self::normal($word);
            $words[] = new Word(
                $mixed ? LookAlikes::resolved($normal, $latin) : $normal, $start, $start + strlen($word),
            );
        }

        return new self($text, $words);
    }

    public function count(): int
    {
        return count($this->list);
    }

    /**
     * @return list<string> each word as it is compared
     */
    public function normalForms(): array
    {
        return array_map(fn (Word $word) => $word->normal, $this->list);
    }

    /** The original text from one word to another (end exclusive), as it stands there. */
    public function slice(int $from, int $to): string
    {
        if ($from >= $to) {
            return '';
        }
        $start = $this->list[$from]->start;

        return substr($this->text, $start, $this->list[$to - 1]->end - $start);
    }

    /**
     * Case, compatibility forms, apostrophes, hyphens, line-end hyphens and format characters do not make words differ.
     */
    private static function normal(string $word): string
    {
        if (preg_match('/\A[a-z0-9]+\z/', $word) === 1) {
            return $word;
        }
        $word = preg_replace(
            [
                '/[-‐]\h*\R\h*/u', '/[’ʼ]/u', '/[‐‑]/u',
                '/[\p{Cf}\x{034F}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{3164}\x{FFA0}\x{FE00}-\x{FE0F}]+/u',
            ],
            ['', "'", '-', ''], $word,
        ) ?? $word;

        $composed = Normalizer::normalize($word, Normalizer::FORM_KC);

        return mb_strtolower(is_string($composed) ? $composed : $word);
    }
}
