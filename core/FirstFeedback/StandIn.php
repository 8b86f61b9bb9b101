<?php

declare(strict_types=1);

namespace YoungHarbor\Core\FirstFeedback;

use YoungHarbor\Core\Text\Sentences;
use YoungHarbor\Core\Text\Words;

/**
 * Remarks that can be computed from a draft itself: useful without being clever. It stands in for an outside writing
 * assistant. Each remark says what was counted, so that its reader can check it; none says good or bad.
 */
final class StandIn
{
    /** Words of a sentence, and of a paragraph, from which it is pointed out. Common practice, no source. */
    public const LONG_SENTENCE = 40;

    public const LONG_PARAGRAPH = 250;

    /** How often the same two words open a sentence before it is pointed out, and that part of all sentences. */
    private const SAME_OPENING = 3;

    private const SAME_PART = 0.15;

    /** Words from which a list of sources is expected. */
    private const SOURCES_FROM = 150;

    private const MOST_OF_A_KIND = 4;

    /** Part of the length limit below which a draft is called short. */
    private const SHORT = 0.7;

    /** The commonest English words, from memory: of running English they are more than a third. */
    private const ENGLISH = 'the of and to in a is that it was for on are as with his they at be this from have or by one had not but what all were when we there can an your which their said if do will each about how up out them then she many some so these would other into has more her two him see could no make than been its who now my made over did down only way may after before where much through back years any';

    /** Common longer words that say nothing of a subject, from memory. */
    private const LITTLE = 'about above after again against answer argue argument based because before being below between brief carefully choose clear clearly closely could describe discuss during essay every example excellent explain first following given hand itself largely least length level little making marks mostly number other others paper place point question quote rather reader section sentence serves several should somewhat source sources state student students their there these thing things those three through under using whether which while whole within without words would write writing written';

    /**
     * @param  list<array{id: string, title: string, levels: list<string>}>  $criteria  with what their levels say, lowest first
     * @return list<Remark>
     */
    public static function of(string $text, string $brief, ?int $limit, array $criteria): array
    {
        $words = Words::of($text);
        $has = self::stems($words->normalForms());

        return [
            ...self::briefTerms($brief, $has), ...self::length($words->count(), $limit),
            ...self::sentences($words), ...self::paragraphs($text), ...self::openings($words),
            ...self::quotations($text),
            ...self::sources($text, $words->count()), ...self::descriptors($criteria, $has),
        ];
    }

    /** Whether a text is mostly English: a third of its words are among the commonest, or nearly. */
    public static function isEnglish(string $text): bool
    {
        $words = Words::of($text)->normalForms();
        $common = array_flip(explode(' ', self::ENGLISH));

        return $words !== [] && count(
            array_filter($words, fn (string $one) => isset($common[$one])),
        ) >= 0.2 * count($words);
    }

    /**
     * @param  array<string, true>  $has  stems of the draft
     * @return list<Remark>
     */
    private static function briefTerms(string $brief, array $has): array
    {
        $missing = array_values(
            array_filter(self::terms($brief), fn (string $word) => ! isset($has[self::stem($word)])),
        );

        return $missing === [] ? [] : [new Remark(
            null, null, 'The brief speaks of '.self::quoted(array_slice($missing, 0, 6))
                .'. Neither these words nor words like them stand in the draft. Is each of them answered in other words?',
            Sureness::Middle,
        )];
    }

    /**
     * @return list<Remark>
     */
    private static function length(int $words, ?int $limit): array
    {
        return match (true) {
            $limit === null => [],
            $words > $limit => [new Remark(null, null, "The draft has {$words} words, the limit is {$limit}. What could go without being missed?", Sureness::High)],
            $words < self::SHORT * $limit => [new Remark(null, null, "The draft has {$words} words of {$limit}. Where would a reader ask for more?", Sureness::High)],
            default => [],
        };
    }

    /**
     * @return list<Remark>
     */
    private static function sentences(Words $words): array
    {
        $found = [];
        foreach (Sentences::of($words) as $one) {
            if ($one->words() > self::LONG_SENTENCE) {
                $found[] = new Remark(
                    null, $words->slice($one->from, $one->to),
                    "This sentence has {$one->words()} words. Read it aloud: could it be two?", Sureness::High,
                );
            }
        }

        return array_slice($found, 0, self::MOST_OF_A_KIND);
    }

    /**
     * @return list<Remark>
     */
    private static function paragraphs(string $text): array
    {
        $found = [];
        foreach (preg_split('/\R\s*\R/u', $text) ?: [] as $paragraph) {
            $words = Words::of($paragraph);
            if ($words->count() > self::LONG_PARAGRAPH) {
                $found[] = new Remark(
                    null, $words->slice(0, 8), "This paragraph has {$words->count()} words. What is its one point, and where does the next begin?",
                    Sureness::Middle,
                );
            }
        }

        return array_slice($found, 0, self::MOST_OF_A_KIND);
    }

    /**
     * @return list<Remark>
     */
    private static function openings(Words $words): array
    {
        $first = $times = [];
        $all = 0;
        $normal = $words->normalForms();
        foreach (Sentences::of($words) as $one) {
            if ($one->words() < 2) {
                continue;
            }
            $all++;
            $opening = "{$normal[$one->from]} {$normal[$one->from + 1]}";
            $times[$opening] = ($times[$opening] ?? 0) + 1;
            $first[$opening] ??= $words->slice($one->from, $one->from + 2);
        }
        $found = [];
        foreach ($times as $opening => $many) {
            if ($many >= self::SAME_OPENING && $many >= self::SAME_PART * $all) {
                $found[] = new Remark(
                    null, $first[$opening], "{$many} of {$all} sentences begin with these words. Is that meant?", Sureness::High,
                );
            }
        }

        return array_slice($found, 0, self::MOST_OF_A_KIND);
    }

    /**
     * @return list<Remark>
     */
    private static function quotations(string $text): array
    {
        preg_match_all('/[“"«]([^“”"«»]{20,600})[”"»]/u', $text, $quotes, PREG_OFFSET_CAPTURE);
        $found = [];
        foreach ($quotes[0] as [$quote, $at]) {
            if (Words::of($quote)->count() < 4) {
                continue;
            }
            $after = mb_strcut($text, $at + strlen($quote), 90);
            $before = mb_strcut(substr($text, 0, $at), -60);
            // A page, a year, a note: anything with a number or in brackets nearby, or raised.
            if (preg_match('/\d|[¹²³⁰-⁹]|[(\[]\p{L}/u', $after.' '.$before) !== 1) {
                $found[] = new Remark(null, $quote, 'Words of someone else stand here, and no page, year or note near them. Where do they stand?', Sureness::Middle);
            }
        }

        return array_slice($found, 0, self::MOST_OF_A_KIND);
    }

    /**
     * @return list<Remark>
     */
    private static function sources(string $text, int $words): array
    {
        return $words < self::SOURCES_FROM
            || preg_match('/^\s*(?:\d+\.?\s*)?(?:list of )?(?:references?|bibliography|sources?|works cited|literature|reading)\s*(?:$|[:.])/imu', $text) === 1
            ? [] : [new Remark(null, null, 'There is no list of sources with a heading such as “Sources”. Is one asked for?', Sureness::Middle)];
    }

    /**
     * @param  list<array{id: string, title: string, levels: list<string>}>  $criteria
     * @param  array<string, true>  $has
     * @return list<Remark>
     */
    private static function descriptors(array $criteria, array $has): array
    {
        $found = [];
        foreach ($criteria as $criterion) {
            $terms = self::terms(implode(' ', array_slice($criterion['levels'], -2)));
            $missing = array_values(array_filter($terms, fn (string $word) => ! isset($has[self::stem($word)])));
            if (count($terms) > 1 && 4 * count($missing) > 3 * count($terms)) {
                $found[] = new Remark(
                    $criterion['id'], null, 'The upper levels of this criterion speak of '.self::quoted(array_slice($missing, 0, 5))
                        .'. Where in the draft would a reader find that?',
                    Sureness::Low,
                );
            }
        }

        return $found;
    }

    /**
     * @return list<string> words of a text that say something of its subject, each once
     */
    private static function terms(string $text): array
    {
        $little = array_flip(explode(' ', self::LITTLE.' '.self::ENGLISH));

        return array_values(array_unique(array_filter(
            Words::of($text)->normalForms(),
            fn (string $word) => mb_strlen($word) >= 6 && ! isset($little[$word]) && preg_match('/\A\p{L}+\z/u', $word) === 1,
        )));
    }

    /**
     * @param  list<string>  $words
     * @return array<string, true>
     */
    private static function stems(array $words): array
    {
        return array_fill_keys(array_map(self::stem(...), $words), true);
    }

    /** Its first letters, so that “harbours” meets “harbour”. */
    private static function stem(string $word): string
    {
        return mb_substr($word, 0, 5);
    }

    /**
     * @param  list<string>  $words
     */
    private static function quoted(array $words): string
    {
        return implode(', ', array_map(fn (string $one) => "“{$one}”", $words));
    }
}
