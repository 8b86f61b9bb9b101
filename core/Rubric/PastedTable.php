<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Tables\Delimited;
use YoungHarbor\Core\Tables\HtmlTable;

/**
 * A table pasted from a spreadsheet or a word processor, read as a rubric: criteria down, levels across. It says what
 * it took each row and column for, so that a person can look before anything is changed.
 */
final readonly class PastedTable
{
    private const NUMBER = '[0-9]{1,6}(?:[.,][0-9]{1,6})?';

    /**
     * @param  list<array{title: string, points: string}>  $levels  points as written, perhaps a range; empty if none stood there
     * @param  list<array{title: string, purpose: string, weight: string, descriptors: list<string>}>  $criteria  weight empty if none stood there
     * @param  list<string>  $notes  what was taken for what, in sentences
     */
    private function __construct(
        public array $levels,
        public array $criteria,
        public bool $headed,
        public array $notes,
    ) {
    }

    /**
     * @param  string  $pasted  text with tabs, commas or bars between cells, or HTML with a table
     * @param  bool|null  $headed  whether the first row names the levels; null to find it out
     *
     * @throws InvalidInput when there is no table in it, or one too large
     */
    public static function of(string $pasted, ?bool $headed = null): self
    {
        if (! mb_check_encoding($pasted, 'UTF-8')) {
            throw InvalidInput::at('', 'the pasted text is not valid UTF-8');
        }
        $rows = preg_match('/<t(able|r|d)\b/i', $pasted) === 1 ? HtmlTable::rows($pasted) : Delimited::rows($pasted);
        $width = $rows === [] ? 0 : max(array_map(count(...), $rows));
        if ($rows === [] || $width === 0) {
            throw InvalidInput::at(
                '',
                'there is no table in what was pasted; copy the cells with the criteria in the first column and the levels across',
            );
        }
        $rows = array_map(fn (array $row) => array_map(trim(...), array_pad($row, $width, '')), $rows);
        $headed ??= self::looksHeaded($rows);
        $header = $headed ? array_shift($rows) : array_fill(0, $width, '');
        if (count($rows) > Rubric::MOST_CRITERIA) {
            throw InvalidInput::at(
                '', 'the table has '.count($rows).' rows; a rubric can have '.Rubric::MOST_CRITERIA.' criteria at most',
            );
        }

        return self::read($header, $rows, $headed);
    }

    /** The draft with the table in place of its criteria and levels, or with its criteria below those there are. */
    public function onto(Draft $draft, bool $replace): Draft
    {
        if ($replace) {
            $levels = $this->levels === [] ? $draft->levels() : [];
            $draft = $draft->with('levels', $levels)->with('criteria', []);
        }
        $ids = [];
        foreach ($this->levels as $n => $level) {
            $same = array_values(
                array_filter(
                    $draft->levels(),
                    fn (array $each) => mb_strtolower(
                        trim($draft->get("levels.{$each['id']}.title"))
                    ) === mb_strtolower($level['title']),
                )
            );
            $known = $same === [] ? ($level['title'] === '' ? ($draft->levels()[$n] ?? null) : null) : $same[0];
            if ($known === null) {
                $before = $draft;
                $draft = DraftShape::apply($draft, 'add-level');
                if ($draft === $before || count($draft->levels()) === count($before->levels())) {
                    continue;
                }
                $known = $draft->levels()[count($draft->levels()) - 1];
                $draft = $draft->set("levels.{$known['id']}.title", $level['title'])->set(
                    "levels.{$known['id']}.points", $level['points'],
                );
            }
            $ids[$n] = $known['id'];
        }
        foreach ($this->criteria as $criterion) {
            $count = count($draft->criteria());
            $draft = DraftShape::apply($draft, 'add-criterion');
            if (count($draft->criteria()) === $count) {
                break;
            }
            $at = 'criteria.'.$draft->criteria()[$count]['id'];
            $draft = $draft->set("{$at}.title", $criterion['title'])->set("{$at}.purpose", $criterion['purpose'])
                ->set("{$at}.weight", $criterion['weight'] === '' ? '0' : $criterion['weight']);
            foreach ($criterion['descriptors'] as $n => $descriptor) {
                if (isset($ids[$n])) {
                    $draft = $draft->set("{$at}.descriptors.{$ids[$n]}", $descriptor);
                }
            }
        }

        return $draft;
    }

    /**
     * @param  list<string>  $header
     * @param  list<list<string>>  $rows
     */
    private static function read(array $header, array $rows, bool $headed): self
    {
        $notes = [$headed ? 'The first row names the levels.' : 'No row names the levels.'];
        $pointsRow = self::takePointsRow($rows);
        if ($pointsRow !== null) {
            $notes[] = 'The row under it gives their points.';
        }
        $weightColumn = self::weightColumn($header, $rows);
        $columns = array_values(
            array_filter(
                range(1, max(1, count($header) - 1)), fn (int $c) => $c < count($header) && $c !== $weightColumn,
            )
        );
        if (count($columns) > Rubric::MOST_LEVELS) {
            throw InvalidInput::at(
                '',
                'the table has '.count($columns).' columns of levels; a rubric can have '.Rubric::MOST_LEVELS
                    .' at most',
            );
        }
        $levels = array_map(function (int $column) use ($header, $pointsRow): array {
            [$title, $points] = self::level($header[$column]);

            return ['title' => $title, 'points' => $pointsRow === null ? $points : self::point($pointsRow[$column])];
        }, $columns);
        $weights = $weightColumn === null ? [] : self::weights(array_column($rows, $weightColumn), $notes);
        $criteria = [];
        foreach ($rows as $i => $row) {
            [$title, $purpose] = array_pad(explode("\n", $row[0], 2), 2, '');
            $criteria[] = [
                'title' => trim($title), 'purpose' => trim($purpose), 'weight' => $weights[$i] ?? '',
                'descriptors' => array_map(fn (int $column) => $row[$column], $columns),
            ];
        }
        $without = count(array_filter($levels, fn (array $level) => $level['points'] === ''));
        if ($without > 0) {
            $notes[] = (
                $without === count($levels) ? 'No level says' : "{$without} of the levels do not say"
            ).' how many points it gives; write them in the sheet.';
        }
        $notes[] = $weightColumn === null
            ? 'There is no column of weights.'
            : 'Column '.($weightColumn + 1).' gives the weights.';

        return new self($levels, $criteria, $headed, $notes);
    }

    /**
     * @param  non-empty-list<list<string>>  $rows
     */
    private static function looksHeaded(array $rows): bool
    {
        $first = $rows[0];
        if (count($rows) === 1) {
            return false;
        }
        if ($first[0] === '' || preg_match('/\b(criteri|aspect|category|element|dimension)/i', $first[0]) === 1) {
            return true;
        }
        $rest = array_slice($first, 1);
        foreach ($rest as $cell) {
            if (self::level($cell)[1] !== '' || preg_match('/\bweight|%\s*\z/i', $cell) === 1) {
                return true;
            }
        }
        $inBody = 0;
        foreach (array_slice($rows, 1) as $row) {
            $inBody += mb_strlen(implode('', array_slice($row, 1)));
        }

        return mb_strlen(implode('', $rest)) * 1.5 < $inBody / (count($rows) - 1);
    }

    /**
     * @param  list<list<string>>  $rows  loses its first row when that is a row of points
     * @return list<string>|null
     */
    private static function takePointsRow(array &$rows): ?array
    {
        $row = $rows[0] ?? null;
        if ($row === null || count($rows) < 2 || preg_match('/\A(points?|marks?|scores?)?\z/i', $row[0]) !== 1) {
            return null;
        }
        $given = array_filter(array_slice($row, 1), fn (string $cell) => $cell !== '');
        if ($given === [] || array_filter($given, fn (string $cell) => self::point($cell) === '') !== []) {
            return null;
        }
        array_shift($rows);

        return $row;
    }

    /**
     * @param  list<string>  $header
     * @param  list<list<string>>  $rows
     */
    private static function weightColumn(array $header, array $rows): ?int
    {
        for ($column = count($header) - 1; $column >= 1; $column--) {
            $cells = array_filter(array_column($rows, $column), fn (string $cell) => $cell !== '');
            $areNumbers = $cells !== []
                && array_filter(
                    $cells, fn (string $cell) => preg_match('/\A'.self::NUMBER.'\s*%?\z/', $cell) !== 1,
                ) === [];
            if ($areNumbers || preg_match('/\bweight|\A%\z/i', $header[$column]) === 1) {
                return $column;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $cells
     * @param  list<string>  $notes
     * @return list<string>
     */
    private static function weights(array $cells, array &$notes): array
    {
        $weights = array_map(fn (string $cell) => str_replace(',', '.', rtrim($cell, " %\u{00A0}")), $cells);
        if (str_contains(implode('', $cells), ',')) {
            $notes[] = 'A comma in a weight was read as its decimal point.';
        }
        $sum = WeightBalance::of(
            array_map(fn (string $weight) => Document::parse($weight) ?? BigDecimal::zero(), $weights)
        )->sum;
        if ($sum->isEqualTo(1) && count($weights) > 1) {
            $notes[] = 'The weights total 1 and were read as shares of a whole.';
            $weights = array_map(
                fn (string $weight) => Figure::plain(
                    (Document::parse($weight) ?? BigDecimal::zero())->multipliedBy(100)
                ),
                $weights,
            );
        }

        return $weights;
    }

    /**
     * A level's name and the points that stand with it: "Good (6–7)", "Good, 7 points", "7".
     *
     * @return array{string, string}
     */
    private static function level(string $cell): array
    {
        $cell = trim(str_replace("\n", ' ', $cell));
        $points = self::NUMBER.'(?:\s*(?:–|-|to)\s*'.self::NUMBER.')?';
        if (preg_match("/\\A({$points})\\z/u", $cell) === 1) {
            return [$cell, self::point($cell)];
        }
        if (
            preg_match(
                "/\\A(.*?)[\\s:,–-]*(?:[(\\[]\\s*({$points})\\s*(?:points?|pts?\\.?|marks?)?\\s*[)\\]]|({$points})\\s*(?:points?|pts?\\.?|marks?))\\z/iu",
                $cell, $match,
            ) === 1
        ) {
            return [trim($match[1]), self::point(($match[2] ?? '').($match[3] ?? ''))];
        }

        return [$cell, ''];
    }

    /** Points as this product writes them, or nothing if they are none. */
    private static function point(string $text): string
    {
        $text = trim(str_replace(',', '.', $text));
        if (preg_match('/\A('.self::NUMBER.')(?:\s*(?:–|-|to)\s*('.self::NUMBER.'))?\z/u', $text, $match) !== 1) {
            return '';
        }

        return $match[1].(isset($match[2]) ? '–'.$match[2] : '');
    }
}
