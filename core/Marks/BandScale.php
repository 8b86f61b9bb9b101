<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Named grade bands over marks from 0 to 100, lowest first. A mark is turned into the highest band whose lower bound it
 * reaches, by the scale's boundary rule; a band is turned into a mark by the number it stands for. This is the one
 * place where either is done.
 */
final readonly class BandScale
{
    public const MOST_BANDS = 40;

    /**
     * @param  non-empty-list<Band>  $bands
     */
    private function __construct(
        public string $name,
        public array $bands,
        public BoundaryRule $boundary,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  {"name": "...", "boundary": "as it stands", "bands": [{"name": "...", "from": "0", "value": "20"}, ...]}
     *
     * @throws InvalidInput unless the bands begin at 0, rise strictly, end below 100, have names of their own, and stand for numbers inside them
     */
    public static function fromArray(array $document): self
    {
        $in = new Document;
        $name = $in->text($document, 'name', 'name', 100, required: true);
        $boundary = BoundaryRule::tryFrom(
            is_string($document['boundary'] ?? null) ? $document['boundary'] : BoundaryRule::AsItStands->value
        );
        if ($boundary === null) {
            $in->fault('boundary', 'must be "as it stands" or "whole marks"');
        }
        $bands = [];
        $names = [];
        foreach ($in->rows($document, 'bands', 'bands', self::MOST_BANDS) as $i => $row) {
            $value = isset($row['value']) && $row['value'] !== ''
                ? $in->decimal($row, 'value', "bands[{$i}].value")
                : null;
            $band = new Band(
                $in->text($row, 'name', "bands[{$i}].name", 60, required: true),
                $in->decimal($row, 'from', "bands[{$i}].from"), $value,
            );
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
            $same = mb_strtolower(trim($band->name));
            if ($same !== '' && isset($names[$same])) {
                $in->fault("bands[{$i}].name", "two bands are called \"{$band->name}\"");
            }
            $names[$same] = true;
            $bands[] = $band;
        }
        if ($bands === []) {
            $in->fault('bands', 'there is no band');
        }
        $in->throwFaults();
        assert($bands !== [] && $boundary !== null);
        $scale = new self($name, $bands, $boundary);
        foreach ($bands as $i => $band) {
            if (
                $band->value !== null
                && ($band->value->isGreaterThan(100) || $scale->bandFor($band->value)->name !== $band->name)
            ) {
                $in->fault(
                    "bands[{$i}].value",
                    "the number a band stands for must lie in it; {$band->value} is in \"{$scale->bandFor($band->value)->name}\"",
                );
            }
        }
        $in->throwFaults();

        return $scale;
    }

    /**
     * @return array{name: string, boundary: string, bands: list<array<string, string>>}
     */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'boundary' => $this->boundary->value,
            'bands' => array_map(fn (Band $band) => [
                'name' => $band->name, 'from' => Figure::plain($band->from),
                ...($band->value === null ? [] : ['value' => Figure::plain($band->value)]),
            ], $this->bands),
        ];
    }

    public function bandFor(BigDecimal $mark): Band
    {
        $held = $this->boundary === BoundaryRule::WholeMarks ? $mark->toScale(0, RoundingMode::HALF_UP) : $mark;
        $found = $this->bands[0];
        foreach ($this->bands as $band) {
            if ($held->isGreaterThanOrEqualTo($band->from)) {
                $found = $band;
            }
        }

        return $found;
    }

    /**
     * The marks where the second, third … band begins, rising.
     *
     * @return list<BigDecimal>
     */
    public function boundaries(): array
    {
        return array_map(fn (Band $band) => $band->from, array_slice($this->bands, 1));
    }

    /**
     * The mark a band stands for.
     *
     * @throws InvalidInput for a name that is not on the scale, or a band that stands for no number
     */
    public function markFor(string $name): BigDecimal
    {
        foreach ($this->bands as $band) {
            if (mb_strtolower(trim($band->name)) === mb_strtolower(trim($name))) {
                return $band->value
                    ?? throw InvalidInput::at('', "\"{$band->name}\" stands for no single mark on this scale");
            }
        }
        throw InvalidInput::at('', "\"{$name}\" is not a band of {$this->name}");
    }

    /**
     * The marks a band covers at a number of decimals, in words: "60 to 69.9".
     */
    public function span(Band $band, int $decimals): string
    {
        $step = BigDecimal::ofUnscaledValue(1, $decimals);
        $half = $this->boundary === BoundaryRule::WholeMarks && $decimals > 0
            ? BigDecimal::of('0.5')
            : BigDecimal::zero();
        foreach ($this->bands as $i => $each) {
            if ($each->name !== $band->name) {
                continue;
            }
            $next = $this->bands[$i + 1] ?? null;
            $bottom = $band->from->isZero() ? $band->from : $band->from->minus($half);
            $top = $next === null ? BigDecimal::of(100) : $next->from->minus($half)->minus($step);

            return Figure::plain($bottom).' to '.Figure::plain(
                $top->toScale(max($decimals, $top->getScale()), RoundingMode::UNNECESSARY)
            );
        }

        return '';
    }
}
