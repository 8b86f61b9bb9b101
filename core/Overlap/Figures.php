<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * The figures of one report, worked out from what was found and what its reader leaves out. The sum anyone can check:
 * words = counted + left out, and matched is at most counted.
 *
 * Sources and short runs that do not count go first; then every matched word is credited to one source; then words that
 * are left out are taken off, and what remains of a run still counts.
 */
final readonly class Figures
{
    /** The order in which a word that is left out for several reasons is told of under one of them. */
    private const REASONS = ['given', 'quotation', 'bibliography', 'passage'];

    /** So many words in common must be left of close wording when identical runs are taken off it. */
    private const LEAST_CLOSE = 8;

    /**
     * @param  int  $words  of the script
     * @param  array<string, int>  $leftOut  words by reason, each word under one
     * @param  list<Interval>  $places  what is left out
     * @param  list<Run>  $close  passages of close wording, credited; their words in common are in no run
     */
    private function __construct(
        public int $words,
        public array $leftOut,
        public array $places,
        public Report $report,
        public array $close,
    ) {
    }

    /**
     * @param  list<Interval>  $places  given passages, quotations and the bibliography, in any order
     * @param  list<Run>  $runs  of identical words, as aligned with each source
     * @param  list<Run>  $close  close wording, likewise
     */
    public static function of(int $words, array $places, array $runs, array $close, LeftOutChoices $choices): self
    {
        $out = array_values(array_filter($places, fn (Interval $place) => $choices->leaveOut($place->why)));
        foreach ($choices->passages as [$from, $to]) {
            $out[] = new Interval('passage', $from, $to);
        }
        usort($out, fn (Interval $a, Interval $b) => [$a->from, $a->to] <=> [$b->from, $b->to]);
        $left = LeftOut::of($out);
        $wanted = fn (Run $run): bool => ! in_array($run->source, $choices->sources, true);
        $counting = array_values(
            array_filter($runs, fn (Run $run) => $wanted($run) && $run->words() >= $choices->shortest)
        );
        $credited = Credit::share($counting);

        return new self(
            $words, self::counted($out), $out,
            new Report($words - $left->words(), $left->from($credited)),
            self::close(array_values(array_filter($close, $wanted)), $credited, $left),
        );
    }

    public function closeWords(): int
    {
        return array_sum(array_map(fn (Run $run) => $run->words(), $this->close));
    }

    /** Words that are left out. */
    public function leftOutWords(): int
    {
        return array_sum($this->leftOut);
    }

    /**
     * @param  list<Interval>  $out
     * @return array<string, int>
     */
    private static function counted(array $out): array
    {
        $before = [];
        $counted = [];
        $sum = 0;
        foreach (self::REASONS as $why) {
            array_push($before, ...array_filter($out, fn (Interval $place) => $place->why === $why));
            $words = LeftOut::of($before)->words();
            if ($words > $sum) {
                $counted[$why] = $words - $sum;
            }
            $sum = $words;
        }

        return $counted;
    }

    /**
     * Close wording without the words that stand in identical runs: those are counted there, and a passage that an
     * identical run cuts in two is two.
     *
     * @param  list<Run>  $close
     * @param  list<Run>  $same
     * @return list<Run>
     */
    private static function close(array $close, array $same, LeftOut $left): array
    {
        $taken = [];
        foreach ($same as $run) {
            foreach ($run->pieces as $piece) {
                $taken[] = new Interval('same', $piece->from, $piece->to());
            }
        }
        $same = LeftOut::of($taken);
        $remaining = array_merge(
            ...array_map(fn (Run $run) => self::cut($run, $same), $left->from($same->from($close)))
        );

        return array_values(
            array_filter(Credit::share(self::large($remaining)), fn (Run $run) => $run->words() >= self::LEAST_CLOSE)
        );
    }

    /**
     * @return list<Run> the parts of a run between the identical runs that lie inside it
     */
    private static function cut(Run $run, LeftOut $same): array
    {
        $parts = [];
        $pieces = [];
        foreach ($run->pieces as $piece) {
            $to = $pieces === [] ? $piece->from : end($pieces)->to();
            if ($pieces !== [] && $same->within($to, $piece->from)) {
                $parts[] = new Run($run->source, $pieces);
                $pieces = [];
            }
            $pieces[] = $piece;
        }

        return [...$parts, new Run($run->source, $pieces)];
    }

    /**
     * @param  list<Run>  $close
     * @return list<Run>
     */
    private static function large(array $close): array
    {
        return array_values(array_filter($close, fn (Run $run) => $run->words() >= self::LEAST_CLOSE));
    }
}
