<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\Figure;

/**
 * A rubric while it is being worked on. It keeps whatever was written, right or wrong, so that nothing is lost;
 * {@see self::faults()} says what keeps it from being ready. Every change gives a new draft.
 */
final readonly class Draft
{
    /**
     * @param  array<string, mixed>  $document  the JSON form of a rubric, perhaps with faults
     */
    private function __construct(public array $document)
    {
    }

    public static function blank(string $title): self
    {
        return new self([
            'title' => $title, 'weighting' => 'percent', 'decimals' => 1,
            'levels' => [
                ['id' => 'l1', 'title' => 'Not yet', 'points' => '0'],
                ['id' => 'l2', 'title' => 'Partly', 'points' => '4'],
                ['id' => 'l3', 'title' => 'Well', 'points' => '7'],
                ['id' => 'l4', 'title' => 'Excellently', 'points' => '10'],
            ],
            'criteria' => [self::newCriterion('c1')],
        ]);
    }

    /**
     * @param  array<string, mixed>  $document
     */
    public static function of(array $document): self
    {
        return new self($document);
    }

    /**
     * The draft with what a form posted written over it: titles, points, weights and descriptors as they were typed.
     * What the form does not show stays.
     *
     * @param  array<array-key, mixed>  $posted
     */
    public function withForm(array $posted): self
    {
        $document = $this->document;
        $document['title'] = self::text($posted, 'title', self::text($document, 'title'));
        $levels = $this->levels();
        foreach ($levels as $i => $level) {
            $row = self::row($posted, 'levels', $level['id']);
            $levels[$i]['title'] = self::text($row, 'title', self::text($level, 'title'));
            $levels[$i]['points'] = trim(self::text($row, 'points', self::text($level, 'points')));
        }
        $document['levels'] = $levels;
        $criteria = $this->criteria();
        foreach ($criteria as $i => $criterion) {
            $row = self::row($posted, 'criteria', $criterion['id']);
            foreach (['title', 'purpose', 'weight'] as $field) {
                $criteria[$i][$field] = self::text($row, $field, self::text($criterion, $field));
            }
            $criteria[$i]['weight'] = trim($criteria[$i]['weight']);
            foreach (['descriptors', 'guidance'] as $field) {
                $cells = is_array($criterion[$field] ?? null) ? $criterion[$field] : [];
                foreach ($levels as $level) {
                    $id = $level['id'];
                    $cells[$id] = self::text(is_array($row[$field] ?? null) ? $row[$field] : [], $id, self::text($cells, $id));
                }
                $criteria[$i][$field] = array_filter($cells, fn (mixed $cell) => $cell !== '');
            }
        }
        $document['criteria'] = $criteria;

        return new self($document);
    }

    /**
     * @return list<array{id: string, ...}>
     */
    public function levels(): array
    {
        return $this->rows('levels');
    }

    /**
     * @return list<array{id: string, ...}>
     */
    public function criteria(): array
    {
        return $this->rows('criteria');
    }

    public function addCriterion(): self
    {
        if (count($this->criteria()) >= Rubric::MOST_CRITERIA) {
            return $this;
        }

        return $this->with('criteria', [...$this->criteria(), self::newCriterion($this->freeId('criteria', 'c'))]);
    }

    public function duplicateCriterion(string $id): self
    {
        $criteria = $this->criteria();
        $at = self::position($criteria, $id);
        if ($at === null || count($criteria) >= Rubric::MOST_CRITERIA) {
            return $this;
        }
        $copy = ['id' => $this->freeId('criteria', 'c'), 'title' => self::text($criteria[$at], 'title').' (copy)', 'weight' => '0'] + $criteria[$at];
        array_splice($criteria, $at + 1, 0, [$copy]);

        return $this->with('criteria', $criteria);
    }

    public function removeCriterion(string $id): self
    {
        return $this->with('criteria', self::without($this->criteria(), $id));
    }

    /** Moves a criterion up (−1) or down (+1). */
    public function moveCriterion(string $id, int $by): self
    {
        return $this->with('criteria', self::moved($this->criteria(), $id, $by));
    }

    public function addLevel(): self
    {
        if (count($this->levels()) >= Rubric::MOST_LEVELS) {
            return $this;
        }

        return $this->with('levels', [...$this->levels(), ['id' => $this->freeId('levels', 'l'), 'title' => '', 'points' => '']]);
    }

    public function removeLevel(string $id): self
    {
        $draft = $this->with('levels', self::without($this->levels(), $id));
        $criteria = array_map(function (array $criterion) use ($id): array {
            foreach (['descriptors', 'guidance', 'overrides'] as $field) {
                if (is_array($criterion[$field] ?? null)) {
                    unset($criterion[$field][$id]);
                }
            }
            if (is_array($criterion['unused'] ?? null)) {
                $criterion['unused'] = self::less($criterion['unused'], $id);
            }

            return $criterion;
        }, $draft->criteria());

        return $draft->with('criteria', $criteria);
    }

    public function moveLevel(string $id, int $by): self
    {
        return $this->with('levels', self::moved($this->levels(), $id, $by));
    }

    /** Marks a cell as not used on its criterion, or used again. */
    public function toggleCell(string $criterion, string $level): self
    {
        $criteria = $this->criteria();
        $at = self::position($criteria, $criterion);
        if ($at === null || self::position($this->levels(), $level) === null) {
            return $this;
        }
        $unused = is_array($criteria[$at]['unused'] ?? null) ? $criteria[$at]['unused'] : [];
        $criteria[$at]['unused'] = in_array($level, $unused, true)
            ? self::less($unused, $level)
            : [...$unused, $level];

        return $this->with('criteria', $criteria);
    }

    /** Spreads what is missing to 100 over the criteria, those without a weight first. */
    public function spreadWeights(): self
    {
        $criteria = $this->criteria();
        $scored = array_keys(array_filter($criteria, fn (array $criterion) => ($criterion['kind'] ?? 'levels') !== Kind::Comment->value));
        $weights = array_map(fn (int $i) => self::weight($criteria[$i]), $scored);
        foreach (WeightBalance::spread($weights) as $n => $weight) {
            $criteria[$scored[$n]]['weight'] = Figure::plain($weight);
        }

        return $this->with('criteria', $criteria);
    }

    public function balance(): WeightBalance
    {
        return WeightBalance::of(array_map(self::weight(...), $this->criteria()));
    }

    /**
     * A criterion's weight, 0 when it cannot be read as a number.
     *
     * @param  array<string, mixed>  $criterion
     */
    public static function weight(array $criterion): BigDecimal
    {
        return Document::parse($criterion['weight'] ?? null) ?? BigDecimal::zero();
    }

    /**
     * Everything that keeps the draft from being ready.
     *
     * @return list<Fault>
     */
    public function faults(): array
    {
        $faults = [];
        foreach ($this->criteria() as $i => $criterion) {
            if (trim(self::text($criterion, 'title')) === '') {
                $faults[] = new Fault("criteria[{$i}].title", 'is missing');
            }
        }
        foreach ($this->levels() as $i => $level) {
            if (trim(self::text($level, 'title')) === '') {
                $faults[] = new Fault("levels[{$i}].title", 'is missing');
            }
        }
        try {
            Rubric::fromArray($this->document);
        } catch (InvalidInput $e) {
            return [...$faults, ...$e->faults];
        }

        return $faults;
    }

    /**
     * Where two drafts differ, as place => [this, other].
     *
     * @return array<string, array{string, string}>
     */
    public function differences(self $other): array
    {
        $mine = self::flat($this->document);
        $theirs = self::flat($other->document);
        $differences = [];
        foreach (array_keys($mine + $theirs) as $place) {
            if (($mine[$place] ?? '') !== ($theirs[$place] ?? '')) {
                $differences[$place] = [$mine[$place] ?? '', $theirs[$place] ?? ''];
            }
        }

        return $differences;
    }

    /**
     * @return array<string, string>
     */
    private static function flat(mixed $value, string $place = ''): array
    {
        if (! is_array($value)) {
            return [$place => is_scalar($value) ? (string) $value : ''];
        }
        $flat = [];
        foreach ($value as $key => $item) {
            $name = is_array($item) && is_string($item['id'] ?? null) ? $item['id'] : (string) $key;
            $flat += self::flat($item, $place === '' ? $name : "{$place}.{$name}");
        }

        return $flat;
    }

    /**
     * @return array<string, mixed>
     */
    private static function newCriterion(string $id): array
    {
        return ['id' => $id, 'title' => '', 'purpose' => '', 'weight' => '0', 'kind' => 'levels', 'optional' => false, 'descriptors' => [], 'guidance' => [], 'overrides' => [], 'unused' => []];
    }

    /**
     * @param  list<array<array-key, mixed>>  $rows
     */
    private function with(string $key, array $rows): self
    {
        return new self([$key => $rows] + $this->document);
    }

    /**
     * @return list<array{id: string, ...}>
     */
    private function rows(string $key): array
    {
        $rows = $this->document[$key] ?? [];
        $kept = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row) && is_string($row['id'] ?? null)) {
                $kept[] = $row;
            }
        }

        return $kept;
    }

    private function freeId(string $key, string $letter): string
    {
        $highest = 0;
        foreach ($this->rows($key) as $row) {
            if (preg_match('/\A'.$letter.'([0-9]{1,6})\z/', $row['id'], $match) === 1) {
                $highest = max($highest, (int) $match[1]);
            }
        }

        return $letter.($highest + 1);
    }

    /**
     * @param  array<array-key, mixed>  $ids
     * @return list<mixed>
     */
    private static function less(array $ids, string $id): array
    {
        return array_values(array_filter($ids, fn (mixed $each) => $each !== $id));
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     */
    private static function position(array $rows, string $id): ?int
    {
        foreach ($rows as $i => $row) {
            if ($row['id'] === $id) {
                return $i;
            }
        }

        return null;
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function without(array $rows, string $id): array
    {
        return array_values(array_filter($rows, fn (array $row) => $row['id'] !== $id));
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function moved(array $rows, string $id, int $by): array
    {
        $at = self::position($rows, $id);
        if ($at === null || ! isset($rows[$at + $by])) {
            return $rows;
        }
        [$rows[$at], $rows[$at + $by]] = [$rows[$at + $by], $rows[$at]];

        return $rows;
    }

    /**
     * @param  array<array-key, mixed>  $from
     * @return array<array-key, mixed>
     */
    private static function row(array $from, string $list, string $id): array
    {
        $rows = $from[$list] ?? [];

        return is_array($rows) && is_array($rows[$id] ?? null) ? $rows[$id] : [];
    }

    /**
     * @param  array<array-key, mixed>  $from
     */
    private static function text(array $from, string $key, string $default = ''): string
    {
        return is_string($from[$key] ?? null) ? str_replace("\r\n", "\n", $from[$key]) : $default;
    }
}
