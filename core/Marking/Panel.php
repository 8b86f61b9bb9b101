<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigNumber;
use Brick\Math\BigRational;
use InvalidArgumentException;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Rules\Totals;

/**
 * The marks of one script in their seats, and what follows from them: what is missing, how far they are apart, whether
 * they settle under a scheme and to what.
 */
final readonly class Panel
{
    /**
     * @param  list<SeatMark>  $marks  those that count, in the order of the seats
     */
    private function __construct(public array $marks)
    {
    }

    /**
     * @param  SeatMark  ...$marks  those in seats that do not count are left aside
     *
     * @throws InvalidArgumentException for two marks in a seat that holds one
     */
    public static function of(SeatMark ...$marks): self
    {
        $inOrder = [];
        foreach (Seat::cases() as $seat) {
            $here = array_values(array_filter($marks, fn (SeatMark $mark) => $mark->seat === $seat && $seat->counts()));
            if (count($here) > 1 && ! $seat->canBeSeveral()) {
                throw new InvalidArgumentException("There are two marks in the {$seat->value} seat.");
            }
            array_push($inOrder, ...$here);
        }

        return new self($inOrder);
    }

    /** The mark in a seat, or the first of several. */
    public function in(Seat $seat): ?SeatMark
    {
        foreach ($this->marks as $mark) {
            if ($mark->seat === $seat) {
                return $mark;
            }
        }

        return null;
    }

    /** Whether the seat has a mark that is done. */
    public function isDone(Seat $seat): bool
    {
        return $this->in($seat)?->isDone() === true;
    }

    /**
     * Seats that are wanted by the scheme, or have a marker, and have no finished mark.
     *
     * @return list<Seat>
     */
    public function missing(Scheme $scheme, Sampled $sampled = Sampled::Undecided): array
    {
        $missing = [];
        foreach (Seat::cases() as $seat) {
            $here = array_filter($this->marks, fn (SeatMark $mark) => $mark->seat === $seat);
            $open = array_filter($here, fn (SeatMark $mark) => ! $mark->isDone());
            if (($here === [] && $scheme->wants($seat, $sampled)) || $open !== []) {
                $missing[] = $seat;
            }
        }

        return $missing;
    }

    /**
     * @return list<SeatMark>
     */
    public function done(): array
    {
        return array_values(array_filter($this->marks, fn (SeatMark $mark) => $mark->isDone()));
    }

    /** From the lowest finished mark to the highest, in marks; null with fewer than two. */
    public function apart(): ?BigRational
    {
        $done = $this->done();

        return count($done) < 2 ? null : Totals::widest($done);
    }

    /**
     * How far the first mark lies above the second, in marks; negative when it lies below; null unless both are done.
     */
    public function firstAboveSecond(): ?BigRational
    {
        [$first, $second] = [$this->in(Seat::First)?->total, $this->in(Seat::Second)?->total];

        return $first === null || $second === null ? null : $first->minus($second);
    }

    /**
     * The agreed mark, or why people have to agree on it. One mark alone is the agreed one. Several settle by the
     * scheme's rule when they lie within the tolerance (the boundary included), but never by themselves across the pass
     * line: when one that the rule uses passes and another fails, people decide.
     */
    public function settle(Scheme $scheme, Sampled $sampled = Sampled::Undecided): SettledMark|OpenMark
    {
        $done = $this->done();
        if ($done === [] || $this->missing($scheme, $sampled) !== []) {
            return new OpenMark(WhyOpen::MarksMissing);
        }
        if (count($done) === 1 && $scheme->awaitsSample($sampled)) {
            return new OpenMark(WhyOpen::SampleNotDrawn);
        }
        if (count($done) === 1) {
            return new SettledMark(Totals::of($done[0]), SettledBy::OnlyMark, new Working([new WorkingLine(
                self::name($done[0]->seat), 'the only mark of this script', $done[0]->written,
            )]));
        }
        $name = $this->ruleOf($scheme);
        $rule = $name->rule();
        foreach (array_count_values(array_map(fn (Seat $seat) => $seat->value, $rule->needs())) as $seat => $number) {
            if (count(array_filter($done, fn (SeatMark $mark) => $mark->seat->value === $seat)) < $number) {
                return new OpenMark(WhyOpen::RuleNeedsMore);
            }
        }
        $used = $rule->uses($done);
        $apart = $rule->apart($used);
        if ($apart !== null && $apart->isGreaterThan($scheme->tolerance)) {
            return new OpenMark(WhyOpen::BeyondTolerance, $apart, $scheme->tolerance);
        }
        $passing = array_filter($used, fn (SeatMark $mark) => $scheme->passes(Totals::of($mark)));
        $across = $passing !== [] && count($passing) < count($used);
        if ($across && ! $rule->isDecision()) {
            return new OpenMark(WhyOpen::AcrossPassLine, null, $scheme->passMark);
        }
        $reason = trim(
            implode(' ', array_map(fn (SeatMark $mark) => $mark->seat === Seat::Third ? $mark->reason : '', $used))
        );
        if ($across && $reason === '') {
            return new OpenMark(WhyOpen::ReasonMissing, null, $scheme->passMark);
        }
        $mark = $rule->mark($used);

        $by = $rule->isDecision() ? SettledBy::Third : SettledBy::Rule;

        return new SettledMark($mark, $by, $this->opening()->then(new WorkingLine(
            'Settled', self::how($name, $apart, $scheme).($reason === '' ? '' : ": {$reason}"),
            Figure::shown($mark),
        )));
    }

    /**
     * A mark that the markers agreed on themselves.
     *
     * @param  bool  $byCriterion  whether they agreed criterion by criterion, and it is the total of those
     */
    public function agreed(BigNumber $agreed, string $reason, bool $byCriterion = false): SettledMark
    {
        return $this->byPeople($agreed, SettledBy::Agreement, $byCriterion
            ? 'Agreed by both markers, criterion by criterion'
            : 'Agreed by both markers', $reason);
    }

    /** A mark that a coordinator set who marked neither. */
    public function decided(BigNumber $mark, string $reason, bool $byCriterion = false): SettledMark
    {
        return $this->byPeople($mark, SettledBy::Coordinator, $byCriterion
            ? 'Decided by a coordinator, criterion by criterion'
            : 'Decided by a coordinator', $reason);
    }

    private function byPeople(BigNumber $mark, SettledBy $by, string $what, string $reason): SettledMark
    {
        return new SettledMark($mark->toBigRational(), $by, $this->opening()->then(
            new WorkingLine($what, $reason, Figure::shown($mark->toBigRational())),
        ));
    }

    /** The rule for as many marks as there are. */
    private function ruleOf(Scheme $scheme): RuleName
    {
        return $this->isDone(Seat::Third) && ! in_array(Seat::Third, $scheme->rule->rule()->needs(), true)
            ? $scheme->thirdRule
            : $scheme->rule;
    }

    private static function how(RuleName $rule, ?BigRational $apart, Scheme $scheme): string
    {
        return $rule->sentence().(
            $apart === null ? '' : ', '.Figure::shown($apart).' apart, within '.Figure::plain($scheme->tolerance)
        );
    }

    private function opening(): Working
    {
        return new Working(array_map(fn (SeatMark $mark) => new WorkingLine(
            self::name($mark->seat),
            'total on the rubric'.($mark->seat !== Seat::First && $mark->blind ? ', marked blind' : ''),
            $mark->written,
        ), $this->done()));
    }

    private static function name(Seat $seat): string
    {
        return match ($seat) {
            Seat::Peer => 'A peer\'s mark',
            Seat::Moderator => 'Moderator\'s mark',
            Seat::OwnRating => 'The student\'s own rating',
            Seat::Trial => 'A trial mark',
            Seat::Together => 'A mark made together',
            Seat::First, Seat::Second, Seat::Third => ucfirst($seat->value).' mark',
        };
    }
}
