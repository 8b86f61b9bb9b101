<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A whole, valid rubric: what a mark can be worked out with.
 */
final readonly class Rubric
{
    public const MOST_CRITERIA = 100;

    public const MOST_LEVELS = 12;

    /**
     * @param  non-empty-list<Criterion>  $criteria
     * @param  int<0, 3>  $decimals  places the total is rounded to
     * @param  bool  $pointsShown  whether students see points beside levels and criteria
     */
    public function __construct(
        public string $title,
        public Weighting $weighting,
        public int $decimals,
        public array $criteria,
        public bool $pointsShown = true,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  as in the JSON form of a rubric
     *
     * @throws InvalidInput naming the place of every fault
     */
    public static function fromArray(array $document): self
    {
        return (new RubricReader)->read($document);
    }

    public function criterion(string $id): ?Criterion
    {
        foreach ($this->criteria as $criterion) {
            if ($criterion->id() === $id) {
                return $criterion;
            }
        }

        return null;
    }

    /**
     * With some of its criteria alone, whose weights share the whole between them.
     *
     * @param  list<string>|null  $ids  null, and none that it has: all
     */
    public function only(?array $ids): self
    {
        $kept = array_values(array_filter(
            $this->criteria, fn (Criterion $criterion) => in_array($criterion->id(), $ids ?? [], true),
        ));

        return $kept === [] ? $this
            : new self($this->title, $this->weighting, $this->decimals, $kept, $this->pointsShown);
    }

    /**
     * Criteria that bear points, in order.
     *
     * @return list<Criterion>
     */
    public function scored(): array
    {
        return array_values(
            array_filter($this->criteria, fn (Criterion $criterion) => $criterion->kind() !== CriterionKind::Comment)
        );
    }

    /** What a criterion counts for: its weight in percent, or its maximum in points weighting. */
    public function share(Criterion $criterion): BigDecimal
    {
        return $this->weighting === Weighting::Percent ? $criterion->weight() : $criterion->max();
    }
}
