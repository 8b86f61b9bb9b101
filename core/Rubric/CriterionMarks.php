<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Input\JsonForm;

/**
 * What a marker set and wrote, criterion by criterion.
 */
final readonly class CriterionMarks implements JsonForm
{
    /**
     * @param  array<string, CriterionMark>  $marks  by criterion id, those that say something
     * @param  array<string, non-empty-list<Fault>>  $faults  by criterion id, what could not be read
     */
    private function __construct(
        private array $marks,
        public array $faults = [],
    ) {
    }

    public static function usual(): static
    {
        return new self([]);
    }

    /**
     * What could not be read is kept as faults, so that whoever works out a total names them among all others.
     *
     * @param  array<array-key, mixed>  $document  by criterion id
     */
    public static function fromArray(array $document): static
    {
        $marks = [];
        $faults = [];
        foreach ($document as $id => $form) {
            $id = (string) $id;
            try {
                $marks[$id] = is_array($form)
                    ? CriterionMark::fromArray($form, $id)
                    : throw InvalidInput::at($id, 'must be an object');
            } catch (InvalidInput $e) {
                $faults[$id] = $e->faults;
            }
        }

        return new self($marks, $faults);
    }

    /**
     * @return array<string, array<string, mixed>>
     */
    public function toArray(): array
    {
        return array_map(fn (CriterionMark $mark) => $mark->toArray(), $this->marks);
    }

    /** What was set on a criterion; nothing set when nothing was. */
    public function on(string $criterion): CriterionMark
    {
        return $this->marks[$criterion] ?? new CriterionMark;
    }

    /**
     * @return list<string> ids of the criteria it says something of
     */
    public function criteria(): array
    {
        return array_map(strval(...), array_keys($this->marks + $this->faults));
    }

    public function isEmpty(): bool
    {
        return $this->marks === [];
    }

    /** The same with one criterion set anew; a mark that is empty takes it out. */
    public function with(string $criterion, CriterionMark $mark): self
    {
        $marks = $this->marks;
        $marks[$criterion] = $mark;
        if ($mark->isEmpty()) {
            unset($marks[$criterion]);
        }

        return new self($marks, array_diff_key($this->faults, [$criterion => true]));
    }
}
