<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use YoungHarbor\Core\Text\LookAlikes;
use YoungHarbor\Core\Text\Words;

/**
 * Ways to keep words from being compared, as they show in a text: letters of another script that look alike, characters
 * nobody sees, letters set apart, everything in quotation marks. Each is a finding of its own, with its place; it says
 * what stands there, not why.
 */
final class Hiding
{
    /**
     * Characters without a shape. Soft hyphens, joiners and direction marks have honest uses and are looked at apart.
     */
    private const INVISIBLE = '/[\x{200B}\x{2060}-\x{2064}\x{FEFF}\x{034F}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{180E}\x{3164}\x{FFA0}\x{E0000}-\x{E007F}]/u';

    /** Joiners and direction marks inside words of scripts that never need them. */
    private const JOINERS = '/[\x{200C}\x{200D}\x{200E}\x{200F}\x{202A}-\x{202E}\x{2066}-\x{2069}]/u';

    /** So many single letters in a row are set apart, not initials. */
    private const SPACED = 6;

    /** From this share of its words on, in percent, a text stands in quotation marks. */
    private const QUOTED = 90;

    private const LEAST_WORDS = 40;

    /**
     * @param  list<Interval>  $quotations
     * @return list<Interval> in order of their places
     */
    public static function of(Words $words, array $quotations = []): array
    {
        $found = [...self::words($words), ...self::spaced($words)];
        $quoted = array_sum(array_map(fn (Interval $quotation) => $quotation->words(), $quotations));
        if ($words->count() >= self::LEAST_WORDS && $quoted * 100 >= self::QUOTED * $words->count()) {
            $found[] = new Interval('everything in quotation marks', 0, $words->count());
        }
        usort($found, fn (Interval $a, Interval $b) => [$a->from, $a->to] <=> [$b->from, $b->to]);

        return $found;
    }

    /**
     * Where words that a file hides stand in its text; null when they do not stand there in a row.
     */
    public static function place(Words $words, string $hidden): ?Interval
    {
        $wanted = Words::of($hidden)->normalForms();
        $count = count($wanted);
        $normal = $words->normalForms();
        for ($from = 0; $count > 0 && $from + $count <= count($normal); $from++) {
            if ($normal[$from] === $wanted[0] && array_slice($normal, $from, $count) === $wanted) {
                return new Interval('hidden', $from, $from + $count);
            }
        }

        return null;
    }

    /**
     * @return list<Interval>
     */
    private static function words(Words $words): array
    {
        $latin = LookAlikes::isLatin($words->text);
        $found = [];
        foreach ($words->list as $n => $word) {
            $text = substr($words->text, $word->start, $word->end - $word->start);
            if (strlen($text) === mb_strlen($text)) {
                continue;
            }
            $small = mb_strtolower($text);
            if (
                LookAlikes::resolved($small, $latin) !== $small
                && preg_match('/\p{Latin}/u', LookAlikes::resolved($small, $latin)) === 1
                && preg_match('/[\p{Cyrillic}\p{Greek}]/u', $small) === 1
            ) {
                $found[] = new Interval('lookalike letters', $n, $n + 1);
            }
            if (
                preg_match(self::INVISIBLE, $text) === 1
                || (
                    preg_match(self::JOINERS, $text) === 1
                    && preg_match('/\A[\p{Latin}\p{Cyrillic}\p{Greek}\p{N}\p{Cf}\p{M}\'’-]+\z/u', $text) === 1
                )
            ) {
                $found[] = new Interval('invisible characters', $n, $n + 1);
            }
        }

        return self::joined($found);
    }

    /**
     * @return list<Interval>
     */
    private static function spaced(Words $words): array
    {
        $found = [];
        $start = null;
        $list = $words->list;
        for ($n = 0, $count = count($list); $n <= $count; $n++) {
            $single = $n < $count && mb_strlen($list[$n]->normal) === 1
                && preg_match('/\p{L}/u', $list[$n]->normal) === 1
                && (
                    $start === null
                    || preg_match(
                        '/\A[^\S\n]+\z/u',
                        substr($words->text, $list[$n - 1]->end, $list[$n]->start - $list[$n - 1]->end),
                    ) === 1
                );
            if ($single) {
                $start ??= $n;

                continue;
            }
            if ($start !== null && $n - $start >= self::SPACED) {
                $found[] = new Interval('letters set apart', $start, $n);
            }
            $start = null;
        }

        return $found;
    }

    /**
     * Neighbouring words with the same finding are one.
     *
     * @param  list<Interval>  $found
     * @return list<Interval>
     */
    private static function joined(array $found): array
    {
        $joined = [];
        foreach ($found as $one) {
            $last = $joined === [] ? null : $joined[count($joined) - 1];
            if ($last !== null && $last->why === $one->why && $last->to === $one->from) {
                $joined[count($joined) - 1] = new Interval($one->why, $last->from, $one->to);
            } else {
                $joined[] = $one;
            }
        }

        return $joined;
    }
}
