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
    /**
     * @param  BigDecimal  $tolerance  how far marks may lie apart and settle by the rule, in marks, 0 to 100, the boundary included
     * @param  BigDecimal  $passMark  the lowest mark that passes, 0 to 100
     */
    public function __construct(
        public SecondMarks $second,
        public RuleName $rule,
        public BigDecimal $tolerance,
        public BigDecimal $passMark,
        public Disagreement $disagreement = Disagreement::ItsMarkers,
    ) {
    }

    /** As an assignment begins: every script twice, the mean of two marks at most 5 apart, a pass line of 40. */
    public static function usual(): static
    {
        return new self(SecondMarks::Every, RuleName::Mean, BigDecimal::of(5), BigDecimal::of(40));
    }

    /**
     * @param  array<array-key, mixed>  $document  {"second": "every", "rule": "mean", "tolerance": "5", "pass_mark": "40", "disagreement": "its-markers"}
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static
    {
        $in = new Document;
        $in->onlyKeys($document, ['second', 'rule', 'tolerance', 'pass_mark', 'disagreement']);
        $scheme = new self(
            $in->key($document, 'second', 'second', SecondMarks::Every),
            $in->key($document, 'rule', 'rule', RuleName::Mean),
            $in->decimalWithin($document, 'tolerance', 'tolerance', 0, 100),
            $in->decimalWithin($document, 'pass_mark', 'pass_mark', 0, 100),
            $in->key($document, 'disagreement', 'disagreement', Disagreement::ItsMarkers),
        );
        $in->throwFaults();

        return $scheme;
    }

    /**
     * @return array{second: string, rule: string, tolerance: string, pass_mark: string, disagreement: string}
     */
    public function toArray(): array
    {
        return [
            'second' => $this->second->value, 'rule' => $this->rule->value,
            'tolerance' => (string) $this->tolerance->stripTrailingZeros(),
            'pass_mark' => (string) $this->passMark->stripTrailingZeros(), 'disagreement' => $this->disagreement->value,
        ];
    }

    /**
     * The seats that every script of the assignment wants, in the order they are filled.
     *
     * @return non-empty-list<Seat>
     */
    public function seats(): array
    {
        return match (true) {
            $this->rule === RuleName::Peers => [Seat::Peer],
            $this->second === SecondMarks::Every => [Seat::First, Seat::Second],
            default => [Seat::First],
        };
    }

    public function wants(Seat $seat): bool
    {
        return in_array($seat, $this->seats(), true);
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
