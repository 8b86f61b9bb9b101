<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * One part of how a module mark is made: an assignment, or the best of several.
 */
final readonly class PlannedPart
{
    /**
     * @param  BigDecimal  $weight  of 100
     * @param  BigDecimal|null  $mustPass  the mark without which the module is not passed
     * @param  int|null  $best  how many of them count; null of one alone
     * @param  list<string>  $of  ids of assignments
     * @param  string|null  $resitOf  the id of the assignment that is the second try
     * @param  BigDecimal|null  $cap  what a resit counts at most; null: as it is
     */
    private function __construct(
        public string $id, public string $title, public BigDecimal $weight, public ?BigDecimal $mustPass,
        public ?int $best, public array $of, public ?string $resitOf, public ?BigDecimal $cap,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    public static function read(array $row, string $place, Document $in, int $most): self
    {
        $in->onlyKeys($row, ['id', 'title', 'weight', 'must_pass', 'best', 'of', 'resit'], $place);
        $id = $in->text($row, 'id', "{$place}.id", 60, true);
        $of = array_values(array_filter($in->map($row, 'of', "{$place}.of"), is_string(...)));
        count($of) === count((array) ($row['of'] ?? [])) || $in->fault("{$place}.of", 'must be a list of ids');
        $of === [] && $in->fault("{$place}.of", 'names no assignment');
        count($of) > $most && $in->fault("{$place}.of", 'has '.count($of)." entries; at most {$most} are possible");
        $best = isset($row['best']) ? $in->whole($row, 'best', "{$place}.best", 1, $most) : null;
        $best === null && count($of) > 1 && $in->fault("{$place}.best", 'must say how many of the list count');
        $best !== null && $of !== [] && $best > count($of)
            && $in->fault("{$place}.best", "{$best} of ".count($of).' is more than there are');
        $resit = isset($row['resit']) ? $in->map($row, 'resit', "{$place}.resit") : null;

        return new self(
            $id, trim($in->text($row, 'title', "{$place}.title", 200)) ?: $id,
            $in->decimalWithin($row, 'weight', "{$place}.weight", 0, 100),
            isset($row['must_pass']) ? $in->decimalWithin($row, 'must_pass', "{$place}.must_pass", 0, 100) : null,
            $best, $of, $resit === null ? null : $in->text($resit, 'of', "{$place}.resit.of", 60, true),
            isset($resit['cap']) ? $in->decimalWithin($resit, 'cap', "{$place}.resit.cap", 0, 100) : null,
        );
    }

    /**
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return array_filter([
            'id' => $this->id, 'title' => $this->title, 'weight' => Figure::plain($this->weight),
            'must_pass' => $this->mustPass === null ? null : Figure::plain($this->mustPass), 'best' => $this->best,
            'of' => $this->of, 'resit' => $this->resitOf === null ? null : array_filter([
                'of' => $this->resitOf, 'cap' => $this->cap === null ? null : Figure::plain($this->cap),
            ], fn (mixed $one) => $one !== null),
        ], fn (mixed $one) => $one !== null);
    }

    /**
     * With what a student has.
     *
     * @param  array<string, BigDecimal>  $marks  by assignment
     * @param  array<string, true>  $exempt  by assignment
     *
     * @throws InvalidInput when exemption leaves less of a list than counts
     */
    public function of(array $marks, array $exempt): ModulePart
    {
        $left = count(array_filter($this->of, fn (string $id) => ! isset($exempt[$id])));
        $this->best !== null && $left > 0 && $this->best > $left && throw InvalidInput::at(
            $this->id, "{$this->best} of {$left}: exemption leaves fewer than count",
        );

        return new ModulePart(
            $this->id, $this->title, $this->weight,
            array_map(fn (string $id) => new ListedMark($id, $marks[$id] ?? null, isset($exempt[$id])), $this->of),
            $this->best, $this->mustPass,
            $this->resitOf === null ? null : new ResitMark($marks[$this->resitOf] ?? null, $this->cap),
        );
    }
}
