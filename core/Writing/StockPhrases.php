<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Writing;

/**
 * Connectives and set phrases that stand in many essays, whoever wrote them. English, from memory; common practice, no
 * source. People who were taught to write with connectives use many of them, and so do many second-language writers.
 */
final class StockPhrases
{
    private const PHRASES = [
        'furthermore', 'moreover', 'additionally', 'consequently', 'nevertheless', 'nonetheless', 'therefore', 'thus',
        'hence', 'overall', 'ultimately', 'similarly', 'likewise', 'conversely', 'firstly', 'secondly', 'thirdly',
        'lastly', 'notably', 'importantly', 'crucially', 'essentially',
        'in addition', 'in conclusion', 'to conclude', 'in summary', 'to summarise', 'to summarize', 'to sum up',
        'as a result', 'for example', 'for instance', 'in contrast', 'by contrast', 'on the other hand',
        'on the one hand', 'in other words', 'that is to say', 'in particular', 'in general', 'in terms of',
        'in order to', 'due to the fact that', 'the fact that', 'with regard to', 'with respect to', 'as well as',
        'not only', 'but also', 'a wide range of', 'a variety of', 'a number of', 'plays a crucial role',
        'plays a vital role', 'plays an important role', 'played a crucial role', 'played a vital role',
        'played an important role', 'it is important to note', 'it is worth noting', 'it is clear that',
        'it can be seen that', 'it can be argued that', 'it should be noted', 'this essay will', 'in this essay',
        'this highlights', 'this demonstrates', 'this suggests that', 'this underscores', 'sheds light on',
        'shed light on', 'a testament to', 'delve into', 'delves into', 'at the same time', 'when it comes to',
        'throughout history', 'in today’s world', "in today's world", 'the importance of', 'serves as a', 'served as a',
        'rich tapestry', 'a deeper understanding', 'a complex interplay', 'complex and multifaceted', 'multifaceted',
    ];

    /** @var array<string, list<list<string>>>|null by first word, longest first */
    private static ?array $known = null;

    /**
     * How often one of them begins in a row of words; a word is counted in one of them.
     *
     * @param  list<string>  $words  normalised
     */
    public static function count(array $words): int
    {
        $times = 0;
        for ($i = 0, $count = count($words); $i < $count; $i++) {
            foreach (self::known()[$words[$i]] ?? [] as $phrase) {
                if (array_slice($words, $i, count($phrase)) === $phrase) {
                    $times++;
                    $i += count($phrase) - 1;

                    break;
                }
            }
        }

        return $times;
    }

    /**
     * @return array<string, list<list<string>>>
     */
    private static function known(): array
    {
        if (self::$known === null) {
            $known = [];
            foreach (self::PHRASES as $phrase) {
                $words = explode(' ', str_replace('’', "'", $phrase));
                $known[$words[0]][] = $words;
            }
            foreach ($known as $first => $phrases) {
                usort($phrases, fn (array $a, array $b) => count($b) <=> count($a));
                $known[$first] = $phrases;
            }
            self::$known = $known;
        }

        return self::$known;
    }
}
