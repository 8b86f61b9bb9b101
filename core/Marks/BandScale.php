<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Named grade bands over marks from 0 to 100, lowest first.
 *
 * Boundary rule: a mark is in the highest band whose lower bound it reaches, compared as it stands after its one
 * rounding. 69.5 is not 70.
 */
final readonly class BandScale
{
    /**
     * @param  non-empty-list<Band>  $bands
     */
    private function __construct(
        public string $name,
        public array $bands,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"name": "...", "bands": [{"name": "...", "from": "0"}, ...]}
     *
     * @throws InvalidInput unless the bands begin at 0, rise strictly and end below 100
     */
    public static function fromArray(array $document): self
    {
        $in = new Document;
        $name = $in->text($document, 'name', 'name', 100, required: true);
        $bands = [];
        foreach ($in->rows($document, 'bands', 'bands', 40) as $i => $row) {
            $band = new Band($in->text($row, 'name', "bands[{$i}].name", 60, required: true), $in->decimal($row, 'from', "bands[{$i}].from"));
            $before = end($bands);
            if ($before === false && ! $band->from->isZero()) {
                $in->fault('bands[0].from', 'the lowest band must begin at 0');
            }
            if ($before !== false && $band->from->isLessThanOrEqualTo($before->from)) {
                $in->fault("bands[{$i}].from", 'must be above the band before it');
            }
            if ($band->from->isGreaterThanOrEqualTo(100)) {
                $in->fault("bands[{$i}].from", 'must be below 100');
            }
            $bands[] = $band;
        }
        if ($bands === []) {
            $in->fault('bands', 'there is no band');
        }
        $in->throwFaults();
        assert($bands !== []);

        return new self($name, $bands);
    }

    public function bandFor(BigDecimal $mark): Band
    {
        $found = $this->bands[0];
        foreach ($this->bands as $band) {
            if ($mark->isGreaterThanOrEqualTo($band->from)) {
                $found = $band;
            }
        }

        return $found;
    }

    /**
     * The marks a band covers at a number of decimals, in words: "60 to 69.9".
     */
    public function span(Band $band, int $decimals): string
    {
        foreach ($this->bands as $i => $each) {
            if ($each->name !== $band->name) {
                continue;
            }
            $next = $this->bands[$i + 1] ?? null;
            $top = $next === null ? BigDecimal::of(100) : $next->from->minus(BigDecimal::ofUnscaledValue(1, $decimals));

            return Figure::plain($band->from).' to '.Figure::plain($top->toScale(max($decimals, $top->getScale()), RoundingMode::UNNECESSARY));
        }

        return '';
    }
}
