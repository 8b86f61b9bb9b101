<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigDecimal;
use Brick\Math\BigNumber;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;
use YoungHarbor\Core\Marking\Rules\RuleName;

/**
 * Which seats an assignment wants, for which of its scripts, and how their marks settle.
 */
final readonly class Scheme implements JsonForm
{
    /** Most days after which something happens with a script that is not settled. */
    public const MOST_DAYS = 60;

    /**
     * @param  RuleName  $rule  for two marks
     * @param  BigDecimal  $tolerance  how far marks may lie apart and settle by the rule, in marks, 0 to 100, the boundary included
     * @param  BigDecimal  $passMark  the lowest mark that passes, 0 to 100
     * @param  SecondView  $view  what a second marker sees
     * @param  RuleName  $thirdRule  once there is a third mark
     * @param  int  $days  after both marks are done until the disagreement is dealt with, 1 to 60
     * @param  SampleRule|null  $sample  where a sample is marked a second time; the usual one when null
     */
    public function __construct(
        public SecondMarks $second,
        public RuleName $rule,
        public BigDecimal $tolerance,
        public BigDecimal $passMark,
        public Disagreement $disagreement = Disagreement::ItsMarkers,
        public SecondView $view = SecondView::Blind,
        public RuleName $thirdRule = RuleName::ThirdDecides,
        public int $days = 7,
        private ?SampleRule $sample = null,
    ) {
    }

    /** As an assignment begins: every script twice, the mean of two marks at most 5 apart, a pass line of 40. */
    public static function usual(): static
    {
        return new self(
            SecondMarks::Every, RuleName::Mean, BigDecimal::of(5), BigDecimal::of(40), sample: SampleRule::usual(),
        );
    }

    /**
     * @param  array<array-key, mixed>  $document  {"second": "every", "view": "blind", "rule": "mean", "third_rule": "third-decides", "tolerance": "5", "pass_mark": "40", "disagreement": "its-markers", "days": 7, "sample": {…}}
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, [
            'second', 'view', 'rule', 'third_rule', 'tolerance', 'pass_mark', 'disagreement', 'days', 'sample',
        ]);
        $scheme = new self(
            $in->key($document, 'second', 'second', SecondMarks::Every),
            $in->key($document, 'rule', 'rule', RuleName::Mean),
            $in->decimalWithin($document, 'tolerance', 'tolerance', 0, 100),
            $in->decimalWithin($document, 'pass_mark', 'pass_mark', 0, 100),
            $in->key($document, 'disagreement', 'disagreement', Disagreement::ItsMarkers),
            $in->key($document, 'view', 'view', SecondView::Blind),
            $in->key($document, 'third_rule', 'third_rule', RuleName::ThirdDecides),
            $in->whole($document, 'days', 'days', 1, self::MOST_DAYS),
            self::sampleFrom($in->map($document, 'sample', 'sample'), $in),
        );
        $in->throwFaults();

        return $scheme;
    }

    /**
     * @param  array<array-key, mixed>  $document
     */
    private static function sampleFrom(array $document, Document $in): ?SampleRule
    {
        try {
            return SampleRule::fromArray($document);
        } catch (InvalidInput $e) {
            foreach ($e->faults as $fault) {
                $in->fault("sample.{$fault->place}", $fault->what);
            }

            return null;
        }
    }

    /**
     * @return array{second: string, view: string, rule: string, third_rule: string, tolerance: string, pass_mark: string, disagreement: string, days: int, sample: array{share: string, least: int, root: bool, fails: bool, top: bool, near: string|null}}
     */
    public function toArray(): array
    {
        return [
            'second' => $this->second->value, 'view' => $this->view->value, 'rule' => $this->rule->value,
            'third_rule' => $this->thirdRule->value,
            'tolerance' => (string) $this->tolerance->stripTrailingZeros(),
            'pass_mark' => (string) $this->passMark->stripTrailingZeros(), 'disagreement' => $this->disagreement->value,
            'days' => $this->days, 'sample' => $this->sample()->toArray(),
        ];
    }

    public function sample(): SampleRule
    {
        return $this->sample ?? SampleRule::usual();
    }

    /**
     * The seats that a script of the assignment wants, in the order they are filled.
     *
     * @return non-empty-list<Seat>
     */
    public function seats(Sampled $sampled): array
    {
        return match (true) {
            $this->rule === RuleName::Peers => [Seat::Peer],
            $this->second === SecondMarks::Every,
            $this->second === SecondMarks::Sample && $sampled === Sampled::In => [Seat::First, Seat::Second],
            default => [Seat::First],
        };
    }

    public function wants(Seat $seat, Sampled $sampled): bool
    {
        return in_array($seat, $this->seats($sampled), true);
    }

    /** Whether scripts, all or some, are marked a second time. */
    public function marksTwice(): bool
    {
        return $this->rule !== RuleName::Peers && $this->second !== SecondMarks::None;
    }

    /** Whether a script waits for a sample to be drawn before one mark can be its only one. */
    public function awaitsSample(Sampled $sampled): bool
    {
        return $this->second === SecondMarks::Sample && $sampled === Sampled::Undecided;
    }

    /** Whether a mark passes. */
    public function passes(BigNumber $mark): bool
    {
        return $mark->isGreaterThanOrEqualTo($this->passMark);
    }

    /** Whether a mark that was agreed passes and the result made of it, less what late or long work costs, does not. */
    public function losesThePass(BigNumber $agreed, BigNumber $result): bool
    {
        return $this->passes($agreed) && ! $this->passes($result);
    }
}
