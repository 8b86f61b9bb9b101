<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Names;

/**
 * Finds the ways a text names its own author, and masks them: the full name in any order, with or without middle names,
 * with initials, joined or letter-spaced, with and without accents; the number, also without its letter; the mail
 * address, what stands before its @, and handles made of the name.
 *
 * What no eye sees (soft hyphens, zero-width characters, letters of another alphabet that look the same) does not hide
 * a
 * name: a text is searched as it reads ({@see Letters}). A family name alone may be a source that is cited. It counts
 * with a sign of self: a running head, a short line at the head or the foot of a work, "submitted by", the number
 * beside
 * it. Otherwise it is pointed out ({@see lone()}) and stays. A name made of ordinary words is looked for with capitals.
 *
 * The forms are common practice, no source.
 */
final class Mask
{
    public const SHOWN = '[name hidden]';

    /** From so many letters on, a name is told from words even when they run together or apart. */
    private const TELLING = 10;

    /** Letters that are also written as two. */
    private const PAIRED = ['ä' => 'ae?', 'ö' => 'oe?', 'ü' => 'ue?', 'ø' => 'oe?', 'å' => 'aa?'];

    private const APOSTROPHE = "['`\\h-]?";

    /** Words that make a short line one that names its author. */
    private const LABELS = '(?:by|author|authors|name|names|student|candidate|written|submitted|handed|surname|forename|given|family|from|member|members|group|matriculation|registration)';

    /** Words before a number that say whose it is. */
    private const NUMBERED = '(?:student|candidate|matriculation|registration|number|no|nr|id)';

    private const TITLES = '(?:(?:mr|ms|mrs|miss|mx|dr)\.?\h+)?';

    /** What comes before the name of whoever wrote a text, and before no source. */
    private const SELF = '(?:(?:submitted|prepared|presented|handed\h+in|typed|essay|work|report|paper|assignment|coursework|dissertation|portfolio)\h+(?:and\h+\p{L}+\h+)?by[:\h]+|my\h+(?:full\h+|family\h+|first\h+|last\h+)?name\h+is\h+|(?:author|authors|student|candidate|name|surname|forename|signed|signature)\h*[:=]\h*|signed,?\h+|yours\h+(?:sincerely|faithfully|truly),?\s+|©\h*(?:\d{4}\h+)?)';

    /** A year that a source is given by. What is newer may be one's own. Common practice, no source. */
    private const SOURCE_YEAR = '\A(?:[\p{L}\s.,&;\'-]{0,80}?)[,.]?\s*\(?(?:1[4-9]\d\d|20[01]\d)[a-z]?\b';

    /** What stands before someone who is spoken to. */
    private const GREETING = '(?:(?:hi|hello|hey|dear|thanks|thank\h+you|cheers|sorry|well\h+said|good\h+point)[,:]?\h+|@)';

    /** What only a person does, in a discussion. */
    private const SAYS = '(?:says?|said|writes?|wrote|argues?|argued|thinks?|thought|mentions?|mentioned|points?\h+out|pointed\h+out|asks?|asked|suggests?|suggested|claims?|claimed|agrees?|agreed|disagrees?|disagreed|notes|noted|posted|replied|is\h+right|has\h+a\h+point)\b';

    /** A year right behind a name, or behind the names beside it. Common practice, no source. */
    private const YEAR_NEXT = '\A(?:\h+(?:and|&)\h+\p{Lu}[\p{L}-]+|\h+et\h+al\.?)?,?\h*\(?(?:1[4-9]\d\d|20[01]\d)[a-z]?\b';

    /** Words that begin sentences and are no given names. */
    private const OPENERS = 'The|This|That|These|Those|It|Its|In|On|At|An|We|He|She|They|As|For|But|And|By|My|Of|So|Yet|If|When|While|What|Where|Why|How|Since|Although|Though|Because|Before|After|Both|Even|Like|Unlike|Here|There|Then|Thus|Also|Only|Not|No|To|From|With|Or|Once|Later|Today|See';

    private readonly bool $latin;

    private readonly bool $spaceless;

    /** @var list<string> parts of the name that name someone: no "de" or "van" */
    private readonly array $parts;

    /** @var list<string> */
    private readonly array $particles;

    private readonly ?string $anywhere;

    /** Forms that a source may be cited by too: initials and family name. */
    private readonly ?string $cited;

    private readonly ?string $number;

    private readonly ?string $joined;

    private readonly ?string $handles;

    private readonly ?string $self;

    private readonly ?string $lone;

    private readonly ?string $single;

    private readonly ?string $part;

    /** @var list<array{string|null, bool}>|null */
    private ?array $partsAlone = null;

    public function __construct(string $name, ?string $number, ?string $email)
    {
        $this->latin = preg_match('/\p{Latin}/u', $name) === 1 || preg_match('/\p{L}/u', $name) !== 1;
        $this->spaceless = preg_match(
            '/[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]/u', $name,
        ) === 1;
        $composed = \Normalizer::normalize($name, \Normalizer::FORM_C);
        $all = preg_split(
            '/[\s\p{Z}・·,]+/u', is_string($composed) ? $composed : $name, flags: PREG_SPLIT_NO_EMPTY,
        ) ?: [];
        $small = array_filter(
            $all, fn (string $part, int $n) => self::isParticle($part) || self::isBetween($part, $n, count($all)),
            ARRAY_FILTER_USE_BOTH,
        );
        $this->particles = count($small) === count($all) ? [] : array_values($small);
        $this->parts = array_slice(
            count($small) === count($all) ? $all : array_values(array_diff_key($all, $small)), 0, 8,
        );
        $signs = $this->signs((string) $email);
        $this->number = self::pattern($this->numbers(trim((string) $number)), '');
        $this->anywhere = self::pattern(
            [...$signs, ...$this->fullNames()],
            $this->latin ? '(?<![\p{L}\p{N}])|(?<=\p{Ll})(?=\p{Lu})|(?<=[\p{N}])(?=\p{L})' : '',
            $this->spaceless ? '' : '(?!\p{L})|(?<=\p{Ll})(?=\p{Lu})',
        );
        // A number may follow at once, as that of a note does.
        $this->cited = self::pattern($this->initials(), '(?<![\p{L}\p{N}])', '(?!\p{L})');
        $this->joined = self::pattern($this->joinedForms(), '');
        $this->handles = self::pattern($this->handleForms(), '');
        $written = array_map(fn (string $part) => $this->written($part), $this->parts);
        $named = array_map(
            fn (string $part) => $this->written($part),
            array_filter($this->parts, fn (string $part) => ! self::isOrdinary($part)),
        );
        $lone = array_map(
            fn (string $part) => $this->written($part),
            array_filter(
                count($this->parts) > 1 && ! $this->spaceless ? array_slice($this->parts, 1) : $this->parts,
                fn (string $part) => mb_strlen($part) > ($this->spaceless ? 1 : 2) && ! self::isOrdinary($part),
            ),
        );
        $this->self = self::pattern(
            $written === []
                ? []
                : [
                    self::SELF.self::TITLES.'\K(?-i:'.implode('|', $written).')(?:[\s,]+(?-i:'.implode('|', $written)
                        .'))*',
                ],
            '(?<!\p{L})', '(?!\p{L})',
        );
        $this->lone = self::pattern($lone, '(?<![\p{L}\p{N}])', '(?!\p{L})');
        $this->single = self::pattern($named, '(?<![\p{L}\p{N}])', '(?!\p{L})');
        $this->part = self::pattern($written, '(?<![\p{L}\p{N}])', '(?![\p{L}])');
    }

    /**
     * Where the author is named for certain.
     *
     * @param  bool  $nameLine  whether the text is a short line at the head or foot of the work
     * @return list<array{int, int}> byte offsets, the end exclusive, in order and apart
     */
    public function find(string $text, bool $nameLine = false): array
    {
        return $this->search($text, $nameLine)[0];
    }

    /**
     * Where a family name stands alone, as a source is cited: nobody can tell from the text whether it is the author.
     *
     * @return list<array{int, int}>
     */
    public function lone(string $text): array
    {
        return $this->search($text, false)[1];
    }

    /**
     * Whether a line that repeats at the edges of pages names the author: by any part of the name, a number that is
     * said
     * to be a student's, or what {@see find()} finds.
     */
    public function isHead(string $line): bool
    {
        $plain = Letters::of($line, $this->latin)->plain;
        if (
            $this->search($line, true)[0] !== []
            || preg_match(
                '/(?<!\p{L})'.self::NUMBERED.'(?!\p{L})[^\p{L}\d]{0,20}(?:'.self::NUMBERED
                    .'[^\p{L}\d]{0,10})*\p{L}{0,3}\h?\d{4,}/iu',
                $plain,
            ) === 1
        ) {
            return true;
        }
        $words = self::words($plain);
        $named = $this->part !== null && preg_match($this->part, $plain) === 1;

        return $named
            && (
                (count($words) <= 6 && $this->single !== null && preg_match($this->single, $plain) === 1)
                || self::isPageLine($plain, count($words))
            );
    }

    /**
     * Whether a line is nothing but a label for a name or number, as a cover sheet has it in a cell of its own: what
     * stands in the next belongs to it.
     */
    public static function isLabel(string $line): bool
    {
        return preg_match(
            '/\A\W*(?:(?:your|full|first|last|middle|family|given|student|author|candidate|matriculation|registration)\W+){0,3}(?:name|names|surname|forename|author|authors|student|candidate|number|no|nr|id|e-?mail|submitted by|written by|prepared by|by)\W*\z/iu',
            mb_strimwidth($line, 0, 80),
        ) === 1;
    }

    /** Whether the name of a file names the author, by one name alone too. */
    public function namesFile(string $name): bool
    {
        $words = strtr($name, ['_' => ' ', '-' => ' ', '.' => ' ', '+' => ' ']);

        return $this->find($name) !== [] || $this->find($words) !== []
            || (
                $this->single !== null
                && preg_match(
                    $this->single, mb_convert_case(Letters::of($words, $this->latin)->plain, MB_CASE_TITLE),
                ) === 1
            );
    }

    /** Whether a text speaks of them: named for certain, or by any one name of theirs that is no ordinary word. */
    public function isIn(string $text): bool
    {
        return $this->search($text, false) !== [[], []]
            || ($this->single !== null && preg_match($this->single, Letters::of($text, $this->latin)->plain) === 1);
    }

    /**
     * Where people who know each other name them, by any one name: "I agree with Hana". A name that is an ordinary word
     * counts where only a person is meant: after a greeting or an @, before what only a person does, or with a capital
     * inside a sentence. Before the year of a source, or behind another given name, it is someone else.
     *
     * @return list<array{int, int}> byte offsets, the end exclusive, in order and apart; those of {@see find()} too
     */
    public function among(string $text): array
    {
        $letters = Letters::of($text, $this->latin);
        $plain = $letters->plain;
        $found = [];
        foreach ($this->partsAlone ??= $this->partsAlone() as [$pattern, $isFamily]) {
            foreach (self::all($pattern, $plain) as $place) {
                $isSource = $isFamily && (
                    preg_match('/'.self::YEAR_NEXT.'/u', self::after($plain, $place[1])) === 1
                    || $this->isOfSomeoneElse($plain, $place[0])
                );
                $isSource || $found[] = $letters->original(...$place);
            }
        }

        return self::merged([...$this->find($text), ...$found]);
    }

    /**
     * Patterns for each part of the name by itself, and whether it is a family name.
     *
     * @return list<array{string|null, bool}>
     */
    private function partsAlone(): array
    {
        $alone = [];
        foreach ($this->parts as $n => $part) {
            $isFamily = $n > 0 && ! $this->spaceless;
            if ($this->spaceless) {
                mb_strlen($part) > 1 && $alone[] = [self::pattern([$this->loose($part)], ''), false];

                continue;
            }
            $ways = match (true) {
                self::isOrdinary($part) => [
                    self::GREETING.'\K'.$this->letters($part),
                    "(?-i:{$this->written($part)})(?='s\b|\h*,\h*(?:i|you|your|that|thanks|thank)\b|\h+".self::SAYS.')',
                    '(?-i:(?<=\p{Ll} |\p{Ll}, )(?<!\bthe |\bThe |\ba |\ban |\bA |\bAn )'.$this->written($part).')',
                ],
                self::length($part) < 4 => [self::GREETING.'\K'.$this->letters($part), "(?-i:{$this->written($part)})"],
                default => [$this->letters($part)],
            };
            $alone[] = [self::pattern($ways, '(?<![\p{L}\p{N}])', '(?!\p{L})'), $isFamily];
        }

        return $alone;
    }

    /**
     * How often a text names any of some authors.
     *
     * @param  list<self>  $masks
     */
    public static function count(array $masks, string $text): int
    {
        return array_sum(array_map(fn (self $mask) => count($mask->find($text)), $masks));
    }

    public function hide(string $text, int &$times = 0, bool $nameLine = false): string
    {
        return self::hidden($text, $this->find($text, $nameLine), $times);
    }

    /**
     * Hides all that any of them finds in the text as it stands: one after the other, two who share a given name would
     * take it from each other.
     *
     * @param  list<self>  $masks
     */
    public static function hideAll(array $masks, string $text, int &$times = 0, bool $nameLine = false): string
    {
        $found = array_merge([], ...array_map(fn (self $mask) => $mask->find($text, $nameLine), $masks));

        return self::hidden($text, self::merged($found), $times);
    }

    /** Hides them where people who know each other name them ({@see among()}). */
    public function hideAmong(string $text, int &$times = 0): string
    {
        return self::hidden($text, $this->among($text), $times);
    }

    /**
     * Hides them in what is not about them: the whole name, the number, the address and handles alone. A family name in
     * somebody else's work, at its head or behind "by" too, is a source.
     */
    public function hideElsewhere(string $text, int &$times = 0): string
    {
        $letters = Letters::of($text, $this->latin);
        $found = [];
        foreach ([$this->anywhere, $this->number, $this->joined, $this->handles] as $pattern) {
            array_push($found, ...self::all($pattern, $letters->plain));
        }
        $places = array_map(fn (array $place) => $letters->original(...$place), self::merged($found));

        return self::hidden($text, $places, $times);
    }

    /**
     * @param  list<array{int, int}>  $places
     */
    private static function hidden(string $text, array $places, int &$times): string
    {
        foreach (array_reverse($places) as [$from, $to]) {
            $text = substr_replace($text, self::SHOWN, $from, $to - $from);
        }
        $times += count($places);

        return $text;
    }

    /**
     * @return array{list<array{int, int}>, list<array{int, int}>} certain, and a family name alone
     */
    private function search(string $text, bool $nameLine): array
    {
        $letters = Letters::of($text, $this->latin);
        $plain = $letters->plain;
        $numbers = self::all($this->number, $plain);
        $found = [
            ...self::all($this->anywhere, $plain), ...$numbers, ...self::all($this->joined, $plain),
            ...self::all($this->handles, $plain),
        ];
        $maybe = self::all($this->lone, $plain);
        $line = $nameLine ? $this->forLine($plain) : null;
        foreach (self::all($this->cited, $plain) as $place) {
            $line === null && preg_match('/'.self::SOURCE_YEAR.'/u', self::after($plain, $place[1])) === 1
                ? $maybe[] = $place
                : $found[] = $place;
        }
        foreach (self::all($this->self, $plain) as $place) {
            preg_match('/'.self::SOURCE_YEAR.'/u', self::after($plain, $place[1])) === 1 || $found[] = $place;
        }
        array_push($found, ...self::all($line, $plain));
        foreach ($maybe as $place) { // beside the number it is no source
            foreach ($numbers as [$from, $to]) {
                if (
                    max($from - $place[1], $place[0] - $to) <= 40
                    && ! str_contains(
                        substr($plain, min($to, $place[1]), max(0, max($from, $place[0]) - min($to, $place[1]))), "\n",
                    )
                ) {
                    $found[] = $place;
                }
            }
        }
        $certain = self::merged($found);
        $lone = array_filter(
            self::apart(self::merged($maybe), $certain),
            fn (array $place) => ! $this->isOfSomeoneElse($plain, $place[0]),
        );

        return [
            array_map(fn (array $place) => $letters->original(...$place), $certain),
            array_map(fn (array $place) => $letters->original(...$place), array_values($lone)),
        ];
    }

    private static function after(string $plain, int $at): string
    {
        return mb_scrub(substr($plain, $at, 120));
    }

    /** Whether another given name or other initials stand before a family name. */
    private function isOfSomeoneElse(string $plain, int $at): bool
    {
        return preg_match(
            '/(?<!\p{L})(?!(?:'.self::OPENERS.')\h)(?:\p{Lu}[\p{Ll}\']+|\p{Lu}\.)\h+\z/u',
            mb_scrub(substr($plain, max(0, $at - 40), min($at, 40))),
        ) === 1;
    }

    /**
     * What to look for in a line at head or foot: one name alone too, when the line has few words, and either one such
     * as "by" or none that is ordinary, or page numbers beside it. A name that is an ordinary word counts only beside
     * such a word.
     */
    private function forLine(string $plain): ?string
    {
        $words = self::words($plain);
        $labelled = preg_match('/(?<![\p{L}])'.self::LABELS.'(?![\p{L}])/iu', $plain) === 1;

        return match (true) {
            $words === [], count($words) > 8 => null,
            $labelled && count($words) <= 4 => $this->part,
            $labelled, count($words) <= 5 && $this->isOnlyName($plain) => $this->single,
            default => null,
        };
    }

    /** Whether a line holds nothing beside a name but what a title page or a running head has there. */
    private function isOnlyName(string $plain): bool
    {
        $rest = $this->single === null ? $plain : (string) preg_replace($this->single, ' ', $plain);
        if (preg_match('/(?<!\d)(?:1[4-9]\d\d|20[01]\d)(?!\d)/', $rest) === 1) { // as a source is given
            return false;
        }

        return preg_match(
            '/\A(?:[^\p{L}]|(?-i:\p{Lu})\.|\b(?:p|pp|pg|page|of|essay|assignment|coursework|report|draft|final|version|v|module|group|section|jan\p{L}*|feb\p{L}*|mar\p{L}*|apr\p{L}*|may|june?|july?|aug\p{L}*|sep\p{L}*|oct\p{L}*|nov\p{L}*|dec\p{L}*|\p{L}{2,5}\h?\d{2,4})\b)*\z/iu',
            $rest,
        ) === 1;
    }

    /** Whether a line holds nothing but one or two words and a page number. */
    private static function isPageLine(string $plain, int $words): bool
    {
        return $words <= 3
            && preg_match(
                '/\A[^\d]*(?:p{1,2}\.?|page|pg\.?)?\h*\d{1,4}(?:\h*(?:\/|of)\h*\d{1,4})?\W*\z/iu', $plain,
            ) === 1;
    }

    /**
     * @return list<string>
     */
    private static function words(string $plain): array
    {
        preg_match_all('/[\p{L}\p{M}][\p{L}\p{M}\'-]*/u', $plain, $words);

        return $words[0];
    }

    /**
     * Two parts of the name beside each other, in any order.
     *
     * @return list<string>
     */
    private function fullNames(): array
    {
        if (count($this->parts) < 2) {
            return $this->oneName($this->parts[0] ?? '');
        }
        $ways = [];
        foreach ($this->pairs() as [$one, $other, $inOrder]) {
            $ordinary = self::isOrdinary($one) && self::isOrdinary($other);
            $long = ! $ordinary && self::length($one) + self::length($other) >= self::TELLING;
            $gap = $this->gap($long || $this->spaceless);
            $way = fn (string $part): string => match (true) {
                $ordinary => $this->written($part), $long, $this->spaceless => $this->loose($part),
                default => $this->letters($part)
            };
            // The other way round without a comma only as names are written, since many are ordinary words.
            $ways[] = $inOrder || $long || $this->spaceless
                ? $way($one).$gap.$way($other)
                : "(?-i:{$this->written($one)}{$gap}{$this->written($other)})";
            $inOrder || $ways[] = $way($one).'[\s]*,[\s]*'.$way($other);
            // Spaced out, letter by letter.
            $ways[] = '(?-i:'.$this->spaced($one).'[\s.,_-]+'.$this->spaced($other).')';
            // The given name and the first letter of the family name, with its full stop, but for "Hana K. Novak".
            $inOrder && mb_strlen($one) > 1
                && $ways[] = '(?-i:'.$this->written($one).'[\s]+'.$this->initial($other).'\.(?!\h*(?!(?:'.self::OPENERS
                    .')\b)\p{Lu}\p{Ll}+\b))';
        }

        return array_values(array_unique($ways));
    }

    /**
     * @return list<string>
     */
    private function oneName(string $part): array
    {
        $halves = preg_split('/[-‐‑–]/u', $part) ?: [];

        return match (true) {
            $part === '' => [],
            $this->spaceless => mb_strlen($part) > 1 ? [$this->loose($part)] : [],
            mb_strlen($part) > 3 && ! self::isOrdinary($part)
                && count($halves) < 3 => ['(?-i:'.$this->written($part).')'],
            default => [],
        };
    }

    /**
     * @return list<array{string, string, bool}> two parts, and whether they are in the order of the name
     */
    private function pairs(): array
    {
        $pairs = [];
        foreach ($this->parts as $i => $one) {
            foreach ($this->parts as $j => $other) {
                if ($i === $j) {
                    continue;
                }
                foreach ($this->halves($one) as $first) {
                    foreach ($this->halves($other) as $second) {
                        $pairs[] = [$first, $second, $i < $j];
                    }
                }
            }
        }

        return $pairs;
    }

    /**
     * A double name, and either half of it.
     *
     * @return list<string>
     */
    private function halves(string $part): array
    {
        $halves = array_values(
            array_filter(preg_split('/[-‐‑–]/u', $part) ?: [], fn (string $half) => mb_strlen($half) > 2)
        );

        return count($halves) > 1 ? [$part, ...$halves] : [$part];
    }

    /**
     * Initials and the family name, in either order.
     *
     * @return list<string>
     */
    private function initials(): array
    {
        $ways = [];
        foreach ($this->parts as $i => $given) {
            foreach ($this->parts as $j => $part) {
                if ($i === $j || $this->spaceless || mb_strlen($part) < 2) {
                    continue;
                }
                foreach ($this->halves($part) as $family) {
                    $initial = $this->initial($given);
                    // "A" and "I" are words, and so may the family name be: then the initial needs its full stop.
                    $stop = in_array(mb_strtoupper(mb_substr($given, 0, 1)), ['A', 'I'], true)
                        || self::isOrdinary($family)
                        ? '\.'
                        : '\.?';
                    $particles = $this->particles === []
                        ? ''
                        : '(?:(?:'.implode('|', array_map($this->letters(...), $this->particles)).')\s+)*';
                    $written = $this->written($family);
                    $ways[] = "(?-i:{$initial}{$stop}(?:[\\s.-]*\\p{Lu}\\.?){0,3}[\\s]*(?<![\\p{Ll}]){$particles}{$written})";
                    $ways[] = "(?-i:{$written}[\\s]*,[\\s]*{$initial}\\b(?:\\.(?:[\\s]?\\p{Lu}\\.)*)?)";
                    $ways[] = "(?-i:{$written}[\\s]+{$initial}\\.(?:[\\s]?\\p{Lu}\\.)*)";
                }
            }
        }

        return array_values(array_unique($ways));
    }

    /**
     * The name as one run of letters, as in names of files and accounts: inside longer ones too, since no word is
     * spelled so.
     *
     * @return list<string>
     */
    private function joinedForms(): array
    {
        $ways = [];
        foreach (count($this->parts) > 1 && ! $this->spaceless ? $this->pairs() : [] as [$one, $other, $inOrder]) {
            if (
                self::length($one) + self::length($other) >= self::TELLING
                && ! (self::isOrdinary($one) && self::isOrdinary($other))
            ) {
                $ways[] = $this->letters($one).$this->letters($other);
            }
            if ($inOrder && self::length($other) >= 6 && ! self::isOrdinary($other)) { // hkovarova, kovarovah
                $ways[] = '(?<![\p{L}\p{N}])'.$this->unit(mb_substr($one, 0, 1)).'[._]?'.$this->letters($other)
                    .'\d{0,6}(?![\p{L}\p{N}])';
                $ways[] = '(?<![\p{L}\p{N}])'.$this->letters($other).'[._]'.$this->unit(mb_substr($one, 0, 1))
                    .'\d{0,6}(?![\p{L}\p{N}])';
            }
        }

        return array_values(array_unique($ways));
    }

    /**
     * Forms of a name that count as a handle, behind an @, or as a mail address, before one.
     *
     * @return list<string>
     */
    private function handleForms(): array
    {
        $forms = [];
        foreach ($this->parts as $i => $one) {
            self::length($one) > 2 && $forms[] = $this->letters($one);
            foreach ($this->parts as $j => $other) {
                if ($i !== $j) {
                    $first = '(?:'.$this->letters($one).'|'.$this->unit(mb_substr($one, 0, 1)).')';
                    $forms[] = "{$first}[._-]?".$this->letters($other);
                    $forms[] = $this->letters($other)."[._-]?{$first}";
                }
            }
        }
        $any = implode('|', array_unique($forms));

        return $forms === []
            ? []
            : [
                "@(?:{$any})[._-]?\\d{0,6}(?![\\p{L}\\p{N}@])",
                "(?<![\\p{L}\\p{N}._+-])(?:{$any})[._-]?\\d{0,6}(?:\\+[\\w.-]+)?@[\\p{L}\\p{N}-]+(?:\\.[\\p{L}\\p{N}-]+)*",
            ];
    }

    /**
     * @return list<string>
     */
    private function signs(string $email): array
    {
        $email = Letters::of(trim($email), $this->latin)->plain;
        if (! str_contains($email, '@')) {
            return [];
        }
        $local = (string) strstr($email, '@', true);
        $quoted = preg_quote($local, '/');
        $ways = [preg_quote($email, '/')];
        mb_strlen($local) >= 3 && $ways[] = $quoted.'(?:\+[\w.-]+)?@[\p{L}\p{N}.-]*[\p{L}\p{N}]';
        $named = array_filter(
            $this->parts,
            fn (string $part) => self::length($part) >= 4
                && mb_stripos(
                    $local, preg_replace("/['-]/", '', Letters::of($part, $this->latin)->plain) ?? $part,
                ) !== false
                && self::length($part) < mb_strlen($local),
        );
        if (mb_strlen($local) >= 4 && (preg_match('/[\d._-]/', $local) === 1 || $named !== [])) {
            $ways[] = $quoted;
        }

        return $ways;
    }

    /**
     * The number with its letters apart, with and without them.
     *
     * @return list<string>
     */
    private function numbers(string $number): array
    {
        $number = Letters::of($number, $this->latin)->plain;
        if (mb_strlen($number) < 3) {
            return [];
        }
        $between = fn (string $with): string => implode(
            $with, array_map(fn (string $one) => preg_quote($one, '/'), mb_str_split($number)),
        );
        $label = '(?<!\p{L})'.self::NUMBERED.'(?!\p{L})[^\n\d]{0,20}?\K';
        $digits = (string) preg_replace('/\D+/', '', $number);
        $spaced = implode('[\h.-]?', str_split($digits));
        $ways = [];
        if (preg_match('/\A\d+\z/', $number) === 1) {
            // Few digits alone are as likely a year or a page: they need a word that says what they are.
            $ways[] = strlen($digits) < 6
                ? $label.$spaced.'(?![\p{L}\p{N}])'
                : '(?<![\p{L}\p{N}])'.$digits.'(?![\p{L}\p{N}])';
        } else {
            $ways[] = '(?<![\p{L}\p{N}])'.$between('[\h._-]?').'(?![\p{L}\p{N}])';
            strlen($digits) >= 6 && $ways[] = '(?<![\p{L}\p{N}])'.$digits.'(?![\p{L}\p{N}])';
        }
        // Behind such a word its letters are looked for first: they go with the digits.
        $whole = '(?<![\p{L}\p{N}])'.$between('[\h._-]?');
        strlen($digits) >= 3 && $ways[] = $label."(?:{$whole}|{$spaced})(?![\\p{L}\\p{N}])";

        return $ways;
    }

    /** What may stand between two parts of a name. */
    private function gap(bool $none): string
    {
        $own = $this->particles === [] ? '' : '|'.implode('|', array_map($this->letters(...), $this->particles));
        $least = $none ? 0 : 1;

        return "(?:[\\s_.'`-]{{$least},4}(?:(?:al|el|de|da|di|van|von|bin|ibn{$own})[\\s-]{1,2}){0,3}(?:(?-i:\\p{Lu})\\.?[\\s]+){0,2})";
    }

    /**
     * @param  array<int, string>  $ways
     */
    private static function pattern(array $ways, string $before, string $after = ''): ?string
    {
        return $ways === []
            ? null
            : '/'.($before === '' ? '' : "(?-i:{$before})").'(?:'.implode('|', $ways).')'
                .($after === '' ? '' : "(?-i:{$after})").'/iu';
    }

    /**
     * @return list<array{int, int}>
     */
    private static function all(?string $pattern, string $plain): array
    {
        if ($pattern === null || preg_match_all($pattern, $plain, $found, PREG_OFFSET_CAPTURE) < 1) {
            return [];
        }

        return array_values(
            array_filter(
                array_map(fn (array $match) => [$match[1], $match[1] + strlen($match[0])], $found[0]),
                fn (array $place) => $place[1] > $place[0],
            )
        );
    }

    /**
     * @param  list<array{int, int}>  $places
     * @return list<array{int, int}> in order, those that overlap as one
     */
    private static function merged(array $places): array
    {
        sort($places);
        $merged = [];
        foreach ($places as [$from, $to]) {
            $last = count($merged) - 1;
            if ($last >= 0 && $from < $merged[$last][1]) {
                $merged[$last][1] = max($merged[$last][1], $to);
            } else {
                $merged[] = [$from, $to];
            }
        }

        return $merged;
    }

    /**
     * @param  list<array{int, int}>  $places  in order
     * @param  list<array{int, int}>  $others  in order
     * @return list<array{int, int}> those that touch none of the others
     */
    private static function apart(array $places, array $others): array
    {
        $apart = [];
        $n = 0;
        foreach ($places as $place) {
            while (isset($others[$n]) && $others[$n][1] <= $place[0]) {
                $n++;
            }
            if (! isset($others[$n]) || $others[$n][0] >= $place[1]) {
                $apart[] = $place;
            }
        }

        return $apart;
    }

    private static function isParticle(string $part): bool
    {
        return mb_strlen($part) <= 4 && preg_match('/\A\p{Ll}/u', $part) === 1;
    }

    /** A capital between names that goes with the one behind it: the Ó of Seán Ó Sé, the F of a middle name. */
    private static function isBetween(string $part, int $n, int $all): bool
    {
        return $n > 0 && $n < $all - 1
            && preg_match('/\A(?:\p{Lu}\.?|Ní|Uí|Nic|Mac|Mc|Bean)\z/u', $part) === 1;
    }

    private static function isOrdinary(string $part): bool
    {
        return preg_match('/[^\p{Latin}\p{M}\'’-]/u', $part) === 1 ? mb_strlen($part) < 2 : OrdinaryWords::has($part);
    }

    private static function length(string $part): int
    {
        return (int) preg_match_all('/\p{L}/u', $part);
    }

    /** The first letter of a part, as a capital. */
    private function initial(string $part): string
    {
        return '(?-i:'.preg_quote(mb_strtoupper(mb_substr(Letters::of($part, $this->latin)->plain, 0, 1)), '/').')';
    }

    /** A part of a name as names are written: with a capital, or in capitals. */
    private function written(string $part): string
    {
        if (preg_match('/\A\p{Lu}/u', $part) !== 1) {
            return "(?i:{$this->letters($part)})";
        }

        return $this->initial($part).'(?i:'.implode('', array_map($this->unit(...), $this->units($part, 1))).')';
    }

    /** A part of a name in any case, its apostrophes and hyphens in any form. */
    private function letters(string $part): string
    {
        return implode('', array_map($this->unit(...), $this->units($part, 0)));
    }

    /** The same, its letters apart or not. */
    private function loose(string $part): string
    {
        return implode('\h?', array_map($this->unit(...), $this->units($part, 0)));
    }

    /** The same, each letter apart. */
    private function spaced(string $part): string
    {
        return '(?i:'.implode(
            '[\h.]',
            array_map(
                $this->unit(...),
                array_values(
                    array_filter($this->units($part, 0), fn (string $unit) => preg_match('/\p{L}/u', $unit) === 1)
                ),
            ),
        ).')';
    }

    /**
     * @return list<string> the letters of a part; a capital inside has a space before it that may be there
     */
    private function units(string $part, int $skip): array
    {
        $units = mb_str_split($part);
        foreach ($units as $n => $unit) {
            if ($n > 0 && preg_match('/\p{Lu}/u', $unit) === 1 && preg_match('/\p{Ll}/u', $units[$n - 1]) === 1) {
                $units[$n] = ' '.$unit;
            }
        }

        return array_slice($units, $skip);
    }

    private function unit(string $unit): string
    {
        $letter = ltrim($unit);
        $space = $unit === $letter ? '' : '\h?';
        $plain = Letters::of($letter, $this->latin)->plain;

        return $space.match (true) {
            $plain === "'" || $plain === '`' => self::APOSTROPHE,
            $plain === '-' => '[\s-]?',
            isset(self::PAIRED[mb_strtolower($letter)]) => self::PAIRED[mb_strtolower($letter)],
            default => preg_quote($plain, '/'),
        };
    }
}
