<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Turns the JSON form of a rubric into a {@see Rubric}, or says everything that keeps it from being one.
 */
final class RubricReader
{
    private const TITLE = 200;

    private const TEXT = 4000;

    private Document $in;

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws InvalidInput
     */
    public function read(array $document): Rubric
    {
        $this->in = new Document;
        $title = $this->in->text($document, 'title', 'title', self::TITLE, required: true);
        $weighting = Weighting::tryFrom(is_string($document['weighting'] ?? null) ? $document['weighting'] : 'percent');
        if ($weighting === null) {
            $this->in->fault('weighting', 'must be "percent" or "points"');
        }
        $decimals = $document['decimals'] ?? 1;
        if (! is_int($decimals) || $decimals < 0 || $decimals > 3) {
            $this->in->fault('decimals', 'must be a whole number from 0 to 3');
            $decimals = 1;
        }
        $shared = $this->levels($document, 'levels', 'levels');
        $criteria = [];
        foreach ($this->in->rows($document, 'criteria', 'criteria', Rubric::MOST_CRITERIA) as $i => $row) {
            $criteria[] = $this->criterion($row, "criteria[{$i}]", $shared, $weighting === Weighting::Percent);
        }
        $this->uniqueness($criteria);
        if ($criteria === [] && $this->in->faults() === []) {
            $this->in->fault('criteria', 'there is no criterion yet');
        }
        if ($weighting === Weighting::Percent) {
            $this->weights($criteria);
        }
        $this->in->throwFaults();
        assert($criteria !== [] && $weighting !== null);

        return new Rubric($title, $weighting, $decimals, $criteria, ($document['points_shown'] ?? true) !== false);
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @param  list<Level>  $shared
     */
    private function criterion(array $row, string $place, array $shared, bool $weighted): Criterion
    {
        $kind = CriterionKind::tryFrom(is_string($row['kind'] ?? null) ? $row['kind'] : 'levels');
        if ($kind === null) {
            $this->in->fault("{$place}.kind", 'must be "levels", "scale", "checklist" or "comment"');
            $kind = CriterionKind::Comment;
        }
        $scored = $kind !== CriterionKind::Comment;
        $head = new CriterionHead(
            $this->in->text($row, 'id', "{$place}.id", 64, required: true),
            // Files may leave a title out; its id then stands for it.
            $this->in->text($row, 'title', "{$place}.title", self::TITLE) ?: (
                is_string($row['id'] ?? null) ? $row['id'] : ''
            ),
            $this->in->text($row, 'purpose', "{$place}.purpose", self::TEXT),
            $scored && $weighted ? $this->in->decimal($row, 'weight', "{$place}.weight") : BigDecimal::zero(),
            ($row['optional'] ?? false) === true,
        );
        if ($scored && $weighted && ($row['weight'] ?? null) !== null && ! $head->weight->isPositive()) {
            $this->in->fault("{$place}.weight", 'must be above 0');
        }
        $criterion = match ($kind) {
            CriterionKind::Levels => new LevelCriterion($head, $this->levelsOf($row, $place, $shared)),
            CriterionKind::Scale => $this->scale($row, $place, $head),
            CriterionKind::Checklist => $this->checklist($row, $place, $head),
            CriterionKind::Comment => new CommentCriterion($head),
        };
        if ($scored && ! $criterion->max()->isPositive()) {
            $this->in->fault($place, 'cannot give any points: its highest is 0');
        }

        return $criterion;
    }

    /**
     * @param  array<array-key, mixed>  $from
     * @return list<Level>
     */
    private function levels(array $from, string $key, string $place): array
    {
        $levels = [];
        $ids = [];
        foreach ($this->in->rows($from, $key, $place, Rubric::MOST_LEVELS) as $i => $row) {
            $at = "{$place}[{$i}]";
            $id = $this->in->text($row, 'id', "{$at}.id", 64, required: true);
            if (isset($ids[$id])) {
                $this->in->fault("{$at}.id", "the id \"{$id}\" stands twice");
            }
            $ids[$id] = true;
            $points = $this->in->decimal($row, 'points', "{$at}.points");
            $upto = isset($row['upto']) ? $this->in->decimal($row, 'upto', "{$at}.upto") : null;
            if ($upto !== null && $upto->isLessThanOrEqualTo($points)) {
                $this->in->fault("{$at}.upto", 'must be above the points the level begins with');
            }
            $levels[] = new Level(
                $id, $this->in->text($row, 'title', "{$at}.title", self::TITLE), $points, $upto, true,
            );
        }

        return $levels;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @param  list<Level>  $shared
     * @return list<Level>
     */
    private function levelsOf(array $row, string $place, array $shared): array
    {
        $base = isset($row['levels']) ? $this->levels($row, 'levels', "{$place}.levels") : $shared;
        $overrides = $this->in->map($row, 'overrides', "{$place}.overrides");
        $unused = $this->in->map($row, 'unused', "{$place}.unused");
        $descriptors = $this->in->map($row, 'descriptors', "{$place}.descriptors");
        $guidance = $this->in->map($row, 'guidance', "{$place}.guidance");
        $ids = array_map(fn (Level $level) => $level->id, $base);
        foreach ([...array_keys($overrides), ...array_values($unused)] as $id) {
            if (! in_array(is_int($id) ? (string) $id : $id, $ids, true)) {
                $this->in->fault(
                    $place, 'names a level that does not exist: '.(is_scalar($id) ? (string) $id : get_debug_type($id)),
                );
            }
        }
        $levels = [];
        foreach ($base as $level) {
            $points = $level->points;
            if (array_key_exists($level->id, $overrides)) {
                $points = $this->in->decimal($overrides, $level->id, "{$place}.overrides.{$level->id}");
                if ($level->isRange()) {
                    $this->in->fault(
                        "{$place}.overrides.{$level->id}",
                        'a level with a range of points cannot have its own points here',
                    );
                }
            }
            $levels[] = new Level(
                $level->id,
                $level->title,
                $points,
                $level->upto,
                ! in_array($level->id, $unused, true),
                $this->in->text($descriptors, $level->id, "{$place}.descriptors.{$level->id}", self::TEXT),
                $this->in->text($guidance, $level->id, "{$place}.guidance.{$level->id}", self::TEXT),
            );
        }
        if (array_filter($levels, fn (Level $level) => $level->used) === []) {
            $this->in->fault($place, 'has no level that can be chosen');
        }

        return $levels;
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private function scale(array $row, string $place, CriterionHead $head): ScaleCriterion
    {
        $min = isset($row['min']) ? $this->in->decimal($row, 'min', "{$place}.min") : BigDecimal::zero();
        $max = $this->in->decimal($row, 'max', "{$place}.max");
        $step = isset($row['step']) ? $this->in->decimal($row, 'step', "{$place}.step") : BigDecimal::one();
        if ($max->isLessThanOrEqualTo($min)) {
            $this->in->fault("{$place}.max", 'must be above the minimum');
        }
        if (! $step->isPositive()) {
            $this->in->fault("{$place}.step", 'must be above 0');
            $step = BigDecimal::one();
        }

        return new ScaleCriterion($head, $min, $max, $step);
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private function checklist(array $row, string $place, CriterionHead $head): ChecklistCriterion
    {
        $items = [];
        $ids = [];
        foreach ($this->in->rows($row, 'items', "{$place}.items", 100) as $i => $item) {
            $at = "{$place}.items[{$i}]";
            $id = $this->in->text($item, 'id', "{$at}.id", 64, required: true);
            if (isset($ids[$id])) {
                $this->in->fault("{$at}.id", "the id \"{$id}\" stands twice");
            }
            $ids[$id] = true;
            $items[] = new ChecklistItem(
                $id, $this->in->text($item, 'title', "{$at}.title", self::TEXT),
                $this->in->decimal($item, 'points', "{$at}.points"),
                $this->in->text($item, 'reminder', "{$at}.reminder", self::TEXT),
            );
        }

        return new ChecklistCriterion($head, $items);
    }

    /**
     * @param  list<Criterion>  $criteria
     */
    private function uniqueness(array $criteria): void
    {
        $ids = [];
        $titles = [];
        foreach ($criteria as $i => $criterion) {
            if (isset($ids[$criterion->id()])) {
                $this->in->fault("criteria[{$i}].id", "the id \"{$criterion->id()}\" stands twice");
            }
            $ids[$criterion->id()] = true;
            $title = mb_strtolower(trim($criterion->title()));
            if ($title !== '' && isset($titles[$title])) {
                $this->in->fault("criteria[{$i}].title", "two criteria are called \"{$criterion->title()}\"");
            }
            $titles[$title] = true;
        }
    }

    /**
     * @param  list<Criterion>  $criteria
     */
    private function weights(array $criteria): void
    {
        $balance = WeightBalance::of(array_map(fn (Criterion $criterion) => $criterion->weight(), $criteria));
        if ($criteria !== [] && ! $balance->isExact()) {
            $this->in->fault('criteria', $balance->sentence());
        }
    }
}
