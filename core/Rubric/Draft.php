<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A rubric while it is being worked on. It keeps whatever was written, right or wrong, so that nothing is lost;
 * {@see self::faults()} says what keeps it from being ready. Every change gives a new draft.
 *
 * A field is named by its place: `title`, `levels.l2.points`, `criteria.c1.descriptors.l2`. {@see DraftShape} holds the
 * changes that add, remove and move.
 */
final readonly class Draft
{
    private const TOP = ['title', 'weighting', 'points_shown'];

    private const OF_CRITERION = ['title', 'purpose', 'weight', 'kind', 'optional', 'pinned', 'min', 'max', 'step'];

    private const OF_CELL = ['descriptors', 'guidance', 'overrides'];

    /** Fields that are on or off; as text they read "1" and "". */
    private const SWITCHES = ['optional', 'pinned', 'points_shown'];

    /**
     * @param  array<string, mixed>  $document  the JSON form of a rubric, perhaps with faults
     */
    private function __construct(public array $document)
    {
    }

    /** Whether nobody has written a criterion yet: no title, purpose or descriptor in any. */
    public function isUnwritten(): bool
    {
        foreach ($this->criteria() as $criterion) {
            $texts = [
                $criterion['title'] ?? '', $criterion['purpose'] ?? '',
                ...array_values(is_array($criterion['descriptors'] ?? null) ? $criterion['descriptors'] : []),
            ];
            if (array_filter($texts, fn (mixed $text) => is_string($text) && trim($text) !== '') !== []) {
                return false;
            }
        }

        return true;
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

    /** One scale for the whole piece of work: a single criterion that bears the whole weight. */
    public static function holistic(string $title): self
    {
        return self::blank($title)->set('criteria.c1.title', 'The work as a whole')->set('criteria.c1.weight', '100');
    }

    /**
     * @param  array<string, mixed>  $document
     */
    public static function of(array $document): self
    {
        return new self($document);
    }

    /** What a field holds, as text; empty for a place that does not exist. Switches read "1" or "". */
    public function get(string $place): string
    {
        $parts = explode('.', $place);
        if (count($parts) === 1) {
            return match (true) {
                ! in_array($place, self::TOP, true) => '',
                $place === 'points_shown' => ($this->document['points_shown'] ?? true) === true ? '1' : '',
                default => self::text($this->document, $place),
            };
        }
        if ($parts[0] === 'levels' && count($parts) === 3) {
            $at = self::position($this->levels(), $parts[1]);

            return $at === null ? '' : self::levelText($this->levels()[$at], $parts[2]);
        }
        $at = $parts[0] === 'criteria' ? self::position($this->criteria(), $parts[1]) : null;
        if ($at === null) {
            return '';
        }
        $criterion = $this->criteria()[$at];
        $field = $parts[2] ?? '';
        if (count($parts) === 3) {
            return in_array($field, self::OF_CRITERION, true) ? self::criterionText($criterion, $field) : '';
        }
        if ($field === 'unused') {
            return in_array($parts[3], self::list($criterion, 'unused'), true) ? '1' : '';
        }
        if (in_array($field, self::OF_CELL, true)) {
            return self::text(self::list($criterion, $field), $parts[3]);
        }
        $row = in_array($field, ['levels', 'items'], true)
            ? self::find(self::rowsOf($criterion, $field), $parts[3])
            : null;

        return $row === null ? '' : self::levelText($row, $parts[4] ?? '');
    }

    /**
     * Writes one field. A place that does not exist (any more) changes nothing. Points may be written as a range:
     * "5–7", "5-7" or "5 to 7".
     */
    public function set(string $place, string $value): self
    {
        $value = self::clean($value);
        $parts = explode('.', $place);
        if (count($parts) === 1) {
            return match (true) {
                $place === 'points_shown' => new self([...$this->document, 'points_shown' => $value !== '']),
                $place === 'weighting' && Weighting::tryFrom($value) === null,
                ! in_array($place, self::TOP, true) => $this,
                default => new self([...$this->document, $place => $value]),
            };
        }
        [$list, $id, $field] = [$parts[0], $parts[1], $parts[2] ?? ''];
        if ($list === 'levels' && count($parts) === 3) {
            return $this->with(
                'levels',
                self::changed($this->levels(), $id, fn (array $level) => self::levelWith($level, $field, $value)),
            );
        }
        if ($list !== 'criteria') {
            return $this;
        }

        return $this->withCriterion($id, fn (array $criterion) => match (true) {
            count($parts) === 3 => self::criterionWith($criterion, $field, $value),
            count($parts) === 4 && $field === 'unused' => self::used($criterion, $parts[3], $value === ''),
            count($parts) === 4
                && in_array($field, self::OF_CELL, true) => self::cellWith($criterion, $field, $parts[3], $value),
            count($parts) === 5 && $field === 'items' && $parts[4] === 'reminder' && isset($criterion['items']) => [
                ...$criterion,
                'items' => self::changed(
                    self::rowsOf($criterion, 'items'), $parts[3],
                    fn (array $row) => $value === '' ? array_diff_key($row, ['reminder' => '']) : [...$row, 'reminder' => $value],
                ),
            ],
            count($parts) === 5 && in_array($field, ['levels', 'items'], true)
                && isset($criterion[$field]) => [
                    ...$criterion,
                    $field => self::changed(
                        self::rowsOf($criterion, $field), $parts[3],
                        fn (array $row) => self::levelWith($row, $parts[4], $value),
                    ),
                ],
            default => $criterion,
        });
    }

    /**
     * The draft with what a form posted written over it, as it was typed. What the form does not show stays.
     *
     * @param  array<array-key, mixed>  $posted
     */
    public function withForm(array $posted): self
    {
        $draft = $this;
        foreach (self::leaves($posted) as $place => $value) {
            $draft = $draft->set($place, $value);
        }

        return $draft;
    }

    /**
     * Writes fields that someone changed, as long as each still holds what that person saw there. A field that has
     * been changed by someone else meanwhile keeps their words and is given back.
     *
     * @param  list<array{place: string, was: string, to: string}>  $changes
     * @return array{self, list<array{place: string, was: string, to: string}>} the draft, and the changes not made
     */
    public function merge(array $changes): array
    {
        $draft = $this;
        $clashes = [];
        foreach ($changes as $change) {
            $now = $this->get($change['place']);
            if ($now !== self::clean($change['was']) && $now !== self::clean($change['to'])) {
                $clashes[] = $change;
            } else {
                $draft = $draft->set($change['place'], $change['to']);
            }
        }

        return [$draft, $clashes];
    }

    /**
     * Every field with what it holds, by place: what a page shows.
     *
     * @return array<string, string>
     */
    public function fields(): array
    {
        $fields = [];
        foreach (self::TOP as $field) {
            $fields[$field] = $this->get($field);
        }
        $shared = $this->levels();
        $fields += self::rowFields('levels', $shared);
        foreach ($this->criteria() as $criterion) {
            $at = "criteria.{$criterion['id']}";
            foreach (self::OF_CRITERION as $field) {
                $fields["{$at}.{$field}"] = self::criterionText($criterion, $field);
            }
            foreach (['levels', 'items'] as $list) {
                $fields += self::rowFields("{$at}.{$list}", self::rowsOf($criterion, $list));
            }
            $unused = self::list($criterion, 'unused');
            foreach (isset($criterion['levels']) ? self::rowsOf($criterion, 'levels') : $shared as $level) {
                foreach (self::OF_CELL as $field) {
                    $fields["{$at}.{$field}.{$level['id']}"] = self::text(self::list($criterion, $field), $level['id']);
                }
                $fields["{$at}.unused.{$level['id']}"] = in_array($level['id'], $unused, true) ? '1' : '';
            }
        }

        return $fields;
    }

    /** All its words, a text a line: what a search looks in. */
    public function words(): string
    {
        $words = [$this->get('title')];
        foreach (
            [
                $this->levels(),
                ...array_map(
                    fn (array $criterion) => [
                        $criterion, ...self::rowsOf($criterion, 'levels'), ...self::rowsOf($criterion, 'items'),
                    ],
                    $this->criteria(),
                ),
            ] as $rows
        ) {
            foreach ($rows as $row) {
                array_push(
                    $words, self::text($row, 'title'), self::text($row, 'purpose'), self::text($row, 'reminder'),
                    ...array_values(
                        array_filter(
                            [
                                ...array_values(self::list($row, 'descriptors')),
                                ...array_values(self::list($row, 'guidance')),
                            ],
                            is_string(...),
                        )
                    ),
                );
            }
        }

        return implode("\n", array_filter($words));
    }

    /**
     * @return list<array{id: string, ...}>
     */
    public function levels(): array
    {
        return self::rowsOf($this->document, 'levels');
    }

    /**
     * @return list<array{id: string, ...}>
     */
    public function criteria(): array
    {
        return self::rowsOf($this->document, 'criteria');
    }

    /**
     * The levels of one criterion: its own, or the rubric's.
     *
     * @param  array<array-key, mixed>  $criterion
     * @return list<array{id: string, ...}>
     */
    public function levelsOf(array $criterion): array
    {
        return isset($criterion['levels']) ? self::rowsOf($criterion, 'levels') : $this->levels();
    }

    /**
     * @param  array<array-key, mixed>  $criterion
     */
    public static function kindOf(array $criterion): CriterionKind
    {
        return CriterionKind::tryFrom(is_string($criterion['kind'] ?? null) ? $criterion['kind'] : '')
            ?? CriterionKind::Levels;
    }

    public function weighting(): Weighting
    {
        return Weighting::tryFrom(self::text($this->document, 'weighting')) ?? Weighting::Percent;
    }

    /** The weights of the criteria that bear points. */
    public function balance(): WeightBalance
    {
        return WeightBalance::of(
            array_map(
                self::weight(...),
                array_filter(
                    $this->criteria(), fn (array $criterion) => self::kindOf($criterion) !== CriterionKind::Comment,
                ),
            )
        );
    }

    /**
     * A criterion's weight, 0 when it cannot be read as a number.
     *
     * @param  array<array-key, mixed>  $criterion
     */
    public static function weight(array $criterion): BigDecimal
    {
        return Document::parse($criterion['weight'] ?? null) ?? BigDecimal::zero();
    }

    /**
     * Everything that keeps the draft from being ready.
     *
     * @param  Rubric|null  $rubric  is given the rubric the draft makes, null while it makes none
     * @return list<Fault>
     */
    public function faults(?Rubric &$rubric = null): array
    {
        $faults = [];
        foreach ($this->criteria() as $i => $criterion) {
            if (trim(self::text($criterion, 'title')) === '') {
                $faults[] = new Fault("criteria[{$i}].title", 'is missing');
            }
            foreach (
                self::kindOf($criterion) === CriterionKind::Levels
                    ? self::rowsOf($criterion, 'levels')
                    : [] as $n => $level
            ) {
                if (trim(self::text($level, 'title')) === '') {
                    $faults[] = new Fault("criteria[{$i}].levels[{$n}].title", 'is missing');
                }
            }
            foreach (
                self::kindOf($criterion) === CriterionKind::Checklist
                    ? self::rowsOf($criterion, 'items')
                    : [] as $n => $item
            ) {
                if (trim(self::text($item, 'title')) === '') {
                    $faults[] = new Fault("criteria[{$i}].items[{$n}].title", 'is missing');
                }
            }
        }
        foreach ($this->weighting() === Weighting::Percent ? $this->criteria() : [] as $i => $criterion) {
            if (
                self::kindOf($criterion) !== CriterionKind::Comment
                && self::weight($criterion)->stripTrailingZeros()->getScale() > 2
            ) {
                $faults[] = new Fault("criteria[{$i}].weight", 'has more than two decimals');
            }
        }
        foreach ($this->levels() as $i => $level) {
            if (trim(self::text($level, 'title')) === '') {
                $faults[] = new Fault("levels[{$i}].title", 'is missing');
            }
        }
        try {
            $rubric = Rubric::fromArray($this->document);
        } catch (InvalidInput $e) {
            $rubric = null;

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
        $mine = $this->fields();
        $theirs = $other->fields();
        $differences = [];
        foreach (array_keys($mine + $theirs) as $place) {
            if (($mine[$place] ?? '') !== ($theirs[$place] ?? '')) {
                $differences[$place] = [$mine[$place] ?? '', $theirs[$place] ?? ''];
            }
        }

        return $differences;
    }

    /**
     * @return array<string, mixed>
     */
    public static function newCriterion(string $id): array
    {
        return [
            'id' => $id, 'title' => '', 'purpose' => '', 'weight' => '0', 'kind' => 'levels', 'optional' => false,
            'descriptors' => [], 'guidance' => [], 'overrides' => [], 'unused' => [],
        ];
    }

    /**
     * @param  list<array<array-key, mixed>>  $rows
     */
    public function with(string $key, array $rows): self
    {
        return new self([...$this->document, $key => $rows]);
    }

    /**
     * @param  callable(array<string, mixed>): array<array-key, mixed>  $change
     */
    public function withCriterion(string $id, callable $change): self
    {
        return $this->with('criteria', self::changed($this->criteria(), $id, $change));
    }

    /**
     * Rows of a list that can be told apart by their ids.
     *
     * @param  array<array-key, mixed>  $from
     * @return list<array{id: string, ...}>
     */
    public static function rowsOf(array $from, string $key): array
    {
        $kept = [];
        foreach (self::list($from, $key) as $row) {
            if (is_array($row) && is_string($row['id'] ?? null)) {
                $kept[] = $row;
            }
        }

        return $kept;
    }

    /**
     * Points as they are written: "5", or "5–7" for a range.
     *
     * @param  array<array-key, mixed>  $level
     */
    public static function pointsText(array $level): string
    {
        $upto = self::text($level, 'upto');

        return self::text($level, 'points').($upto === '' ? '' : '–'.$upto);
    }

    /**
     * The name of a level as people read it, with a word for one that has none.
     *
     * @param  array<array-key, mixed>  $level
     */
    public function titleOf(array $level): string
    {
        return trim(self::text($level, 'title')) ?: 'without a name';
    }

    /**
     * @param  array<array-key, mixed>  $criterion
     */
    private static function criterionText(array $criterion, string $field): string
    {
        return match (true) {
            in_array($field, self::SWITCHES, true) => ($criterion[$field] ?? false) === true ? '1' : '',
            $field === 'kind' => self::kindOf($criterion)->value,
            default => self::text($criterion, $field),
        };
    }

    /**
     * @param  list<array{id: string, ...}>  $rows
     * @return array<string, string>
     */
    private static function rowFields(string $at, array $rows): array
    {
        $fields = [];
        foreach ($rows as $row) {
            $fields["{$at}.{$row['id']}.title"] = self::levelText($row, 'title');
            $fields["{$at}.{$row['id']}.points"] = self::levelText($row, 'points');
            str_ends_with($at, '.items') && $fields["{$at}.{$row['id']}.reminder"] = self::levelText($row, 'reminder');
        }

        return $fields;
    }

    /**
     * @param  array<array-key, mixed>  $level
     */
    private static function levelText(array $level, string $field): string
    {
        return match ($field) {
            'points' => self::pointsText($level),
            'title', 'reminder' => self::text($level, $field),
            default => '',
        };
    }

    /**
     * @param  array<array-key, mixed>  $level
     * @return array<array-key, mixed>
     */
    private static function levelWith(array $level, string $field, string $value): array
    {
        if ($field === 'title') {
            return [...$level, 'title' => $value];
        }
        if ($field !== 'points') {
            return $level;
        }
        unset($level['upto']);
        if (preg_match('/\A\s*([^\s–-]+)\s*(?:[–-]|to)\s*([^\s–-]+)\s*\z/u', $value, $range) === 1) {
            return [...$level, 'points' => $range[1], 'upto' => $range[2]];
        }

        return [...$level, 'points' => trim($value)];
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array<array-key, mixed>
     */
    private static function criterionWith(array $criterion, string $field, string $value): array
    {
        if (in_array($field, self::SWITCHES, true)) {
            return [...$criterion, $field => $value !== ''];
        }
        if ($field === 'kind') {
            $kind = CriterionKind::tryFrom($value);
            $criterion += match ($kind) {
                CriterionKind::Scale => ['min' => '0', 'max' => '10', 'step' => '1'],
                CriterionKind::Checklist => ['items' => [['id' => 's1', 'title' => '', 'points' => '1']]],
                default => [],
            };

            return $kind === null ? $criterion : [...$criterion, 'kind' => $value];
        }
        $isNumber = in_array($field, ['weight', 'min', 'max', 'step'], true);

        return in_array($field, self::OF_CRITERION, true)
            ? [...$criterion, $field => $isNumber ? trim($value) : $value]
            : $criterion;
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array<array-key, mixed>
     */
    private static function cellWith(array $criterion, string $field, string $level, string $value): array
    {
        $cells = self::list($criterion, $field);
        $cells[$level] = $field === 'overrides' ? trim($value) : $value;

        return [...$criterion, $field => array_filter($cells, fn (mixed $cell) => $cell !== '')];
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array<array-key, mixed>
     */
    private static function used(array $criterion, string $level, bool $used): array
    {
        $unused = array_values(array_filter(self::list($criterion, 'unused'), fn (mixed $each) => $each !== $level));

        return [...$criterion, 'unused' => $used ? $unused : [...$unused, $level]];
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  callable(array<string, mixed>): array<array-key, mixed>  $change
     * @return list<array<array-key, mixed>>
     */
    private static function changed(array $rows, string $id, callable $change): array
    {
        return array_map(fn (array $row) => $row['id'] === $id ? $change($row) : $row, $rows);
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     */
    public static function position(array $rows, string $id): ?int
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
     * @return array<string, mixed>|null
     */
    private static function find(array $rows, string $id): ?array
    {
        $at = self::position($rows, $id);

        return $at === null ? null : $rows[$at];
    }

    /**
     * @param  array<array-key, mixed>  $from
     * @return array<array-key, mixed>
     */
    private static function list(array $from, string $key): array
    {
        return is_array($from[$key] ?? null) ? $from[$key] : [];
    }

    /**
     * @param  array<array-key, mixed>  $posted
     * @return array<string, string>
     */
    private static function leaves(array $posted, string $place = ''): array
    {
        $leaves = [];
        foreach ($posted as $key => $value) {
            $at = $place === '' ? (string) $key : "{$place}.{$key}";
            if (is_array($value)) {
                $leaves += self::leaves($value, $at);
            } elseif (is_string($value) || $value === null) {
                $leaves[$at] = (string) $value;
            }
        }

        return $leaves;
    }

    private static function clean(string $value): string
    {
        return str_replace(["\r\n", "\r"], "\n", $value);
    }

    /**
     * @param  array<array-key, mixed>  $from
     */
    private static function text(array $from, string $key): string
    {
        $value = $from[$key] ?? null;

        return is_scalar($value) && ! is_bool($value) ? self::clean((string) $value) : '';
    }
}
