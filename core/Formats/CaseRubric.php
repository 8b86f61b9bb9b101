<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CriterionKind;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftShape;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Weighting;

/**
 * Rubrics as 1EdTech Competencies and Academic Standards Exchange (CASE) 1.0 has them: CFRubrics of a CFPackage, each
 * with CFRubricCriteria and CFRubricCriterionLevels.
 *
 * A criterion's `category` is its title, `description` what it looks for; a level's `quality` is its name, `score` its
 * points, `description` the descriptor, `feedback` the guidance to the next level. Field names are written from memory
 * of the specification.
 */
final class CaseRubric
{
    private const VERSIONS = ['1.0', '1.1'];

    /**
     * @param  callable(string): string  $identifier  a lasting UUID for a path such as "criteria/c1"
     * @param  string  $base  where the objects are found, without a slash at its end
     * @param  string  $changed  date and time of the last change, ISO 8601
     */
    public static function write(Draft $draft, callable $identifier, string $base, string $changed): string
    {
        $uri = fn (string $kind, string $id): string => "{$base}/ims/case/v1p0/{$kind}/{$id}";
        $rubricId = $identifier('');
        $documentId = $identifier('document');
        $criteria = [];
        foreach ($draft->criteria() as $position => $criterion) {
            $at = "criteria.{$criterion['id']}";
            $id = $identifier("criteria/{$criterion['id']}");
            $levels = [];
            foreach (
                Draft::kindOf($criterion) === CriterionKind::Levels ? $draft->levelsOf($criterion) : [] as $level
            ) {
                if ($draft->get("{$at}.unused.{$level['id']}") !== '') {
                    continue;
                }
                $levelId = $identifier("criteria/{$criterion['id']}/levels/{$level['id']}");
                $own = $draft->get("{$at}.overrides.{$level['id']}");
                $levels[] = [
                    'identifier' => $levelId, 'uri' => $uri('CFRubricCriterionLevels', $levelId),
                    'description' => $draft->get("{$at}.descriptors.{$level['id']}"),
                    'quality' => $draft->titleOf($level),
                    'score' => self::number(
                        $own !== ''
                            ? $own
                            : (is_string($level['upto'] ?? null) ? $level['upto'] : Draft::pointsText($level))
                    ),
                    'feedback' => $draft->get("{$at}.guidance.{$level['id']}"), 'position' => count($levels) + 1,
                    'rubricCriterionId' => $id, 'lastChangeDateTime' => $changed,
                ];
            }
            $weight = $draft->weighting() === Weighting::Percent
                ? ['weight' => self::number($draft->get("{$at}.weight"))]
                : [];
            $criteria[] = [
                'identifier' => $id, 'uri' => $uri('CFRubricCriteria', $id), 'category' => $draft->get("{$at}.title"),
                'description' => $draft->get("{$at}.purpose"),
                ...$weight, 'position' => $position + 1, 'rubricId' => $rubricId, 'lastChangeDateTime' => $changed,
                'CFRubricCriterionLevels' => $levels,
            ];
        }
        $title = $draft->get('title');
        $package = [
            'CFDocument' => [
                'identifier' => $documentId, 'uri' => $uri('CFDocuments', $documentId), 'caseVersion' => '1.0',
                'creator' => 'Young Harbor', 'title' => $title, 'lastChangeDateTime' => $changed,
            ],
            'CFItems' => [], 'CFAssociations' => [],
            'CFRubrics' => [
                [
                    'identifier' => $rubricId, 'uri' => $uri('CFRubrics', $rubricId), 'title' => $title,
                    'description' => '', 'lastChangeDateTime' => $changed, 'CFRubricCriteria' => $criteria,
                ],
            ],
        ];

        return json_encode(
            $package, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /**
     * @return list<string> what of the rubric CASE cannot hold; our own JSON form carries it
     */
    public static function lost(Draft $draft): array
    {
        return Losses::of($draft, [
            'kinds' => 'scales, checklists and comment-only criteria keep their title and weight alone',
            'ranges' => 'a level that is a range of points keeps its highest',
            'optional' => 'which criteria are optional', 'points hidden' => 'that students do not see points',
        ]);
    }

    /**
     * Every rubric in a CFPackage, or the one rubric of a file that is a CFRubric by itself.
     *
     * @return non-empty-list<Draft>
     *
     * @throws InvalidInput naming the place of every fault; nothing is taken from a file with one
     */
    public static function read(string $json): array
    {
        $document = RubricJson::decode($json);
        $in = new Document;
        $about = $document['CFDocument'] ?? [];
        $version = is_array($about) ? ($about['caseVersion'] ?? '1.0') : '1.0';
        if (! in_array($version, self::VERSIONS, true)) {
            throw InvalidInput::at(
                'CFDocument.caseVersion',
                'is '.(
                    is_scalar($version) ? '"'.mb_substr((string) $version, 0, 20).'"' : 'not text'
                ).'; rubrics of CASE '.implode(' and ', self::VERSIONS).' can be read',
            );
        }
        $isOne = isset($document['CFRubricCriteria']);
        if (! $isOne && ! isset($document['CFRubrics'])) {
            throw InvalidInput::at('CFRubrics', 'is missing: this is no CASE package with rubrics');
        }
        $rubrics = $isOne ? [$document] : $in->rows($document, 'CFRubrics', 'CFRubrics', 200);
        $drafts = [];
        foreach ($rubrics as $i => $rubric) {
            $drafts[] = self::rubric($in, $rubric, $isOne ? '' : "CFRubrics[{$i}].");
        }
        if ($drafts === []) {
            $in->fault('CFRubrics', 'holds no rubric');
        }
        $in->throwFaults();
        assert($drafts !== []);

        return $drafts;
    }

    /**
     * @param  array<array-key, mixed>  $rubric
     */
    private static function rubric(Document $in, array $rubric, string $at): Draft
    {
        $seen = [];
        $id = self::identifier($in, $rubric, $at, $seen);
        $criteria = [];
        $weights = 0;
        foreach (
            self::ordered(
                $in, $rubric, 'CFRubricCriteria', "{$at}CFRubricCriteria", Rubric::MOST_CRITERIA,
            ) as $place => $row
        ) {
            $criterionId = self::identifier($in, $row, "{$place}.", $seen);
            self::parent($in, $row, 'rubricId', $id, $place);
            $weight = self::figure($in, $row, 'weight', $place);
            $weights += $weight === null ? 0 : 1;
            $levels = [];
            foreach (
                self::ordered(
                    $in, $row, 'CFRubricCriterionLevels', "{$place}.CFRubricCriterionLevels", Rubric::MOST_LEVELS,
                ) as $levelPlace => $level
            ) {
                self::identifier($in, $level, "{$levelPlace}.", $seen);
                self::parent($in, $level, 'rubricCriterionId', $criterionId, $levelPlace);
                $score = self::figure($in, $level, 'score', $levelPlace);
                if ($score === null && ! isset($level['score'])) {
                    $in->fault("{$levelPlace}.score", 'is missing');
                }
                $quality = $in->text($level, 'quality', "{$levelPlace}.quality", 200);
                $levels[] = [
                    'title' => $quality === '' ? 'Level '.(count($levels) + 1) : $quality, 'points' => $score ?? '0',
                    'descriptor' => $in->text($level, 'description', "{$levelPlace}.description", 4000),
                    'guidance' => $in->text($level, 'feedback', "{$levelPlace}.feedback", 4000),
                ];
            }
            $criteria[] = [
                'title' => $in->text($row, 'category', "{$place}.category", 200),
                'purpose' => $in->text($row, 'description', "{$place}.description", 4000), 'weight' => $weight,
                'levels' => $levels,
            ];
        }
        if ($weights > 0 && $weights < count($criteria)) {
            $in->fault(
                "{$at}CFRubricCriteria",
                "only {$weights} of ".count($criteria).' criteria have a weight; either all have one or none',
            );
        }

        return self::draft(
            $in->text($rubric, 'title', "{$at}title", 200) ?: 'Rubric without a title', $criteria, $weights > 0,
        );
    }

    /**
     * @param  list<array{title: string, purpose: string, weight: string|null, levels: list<array{title: string, points: string, descriptor: string, guidance: string}>}>  $criteria
     */
    private static function draft(string $title, array $criteria, bool $weighted): Draft
    {
        $shared = [];
        foreach ($criteria as $criterion) {
            $titles = array_column($criterion['levels'], 'title');
            if (count($titles) > count($shared) && count(array_unique($titles)) === count($titles)) {
                $shared = $criterion['levels'];
            }
        }
        $levels = array_map(
            fn (int $n, array $level) => [
                'id' => 'l'.($n + 1), 'title' => $level['title'], 'points' => $level['points'],
            ],
            array_keys($shared), $shared,
        );
        $draft = Draft::of(
            [
                'title' => $title, 'weighting' => ($weighted ? Weighting::Percent : Weighting::Points)->value,
                'decimals' => 1, 'levels' => $levels, 'criteria' => [],
            ]
        );
        foreach ($criteria as $n => $criterion) {
            $draft = DraftShape::apply($draft, 'add-criterion');
            $id = 'c'.($n + 1);
            $at = "criteria.{$id}";
            $draft = $draft->set(
                "{$at}.title",
                $criterion['title'] !== '' ? $criterion['title'] : mb_substr($criterion['purpose'], 0, 200),
            )->set("{$at}.purpose", $criterion['purpose'])->set("{$at}.weight", $criterion['weight'] ?? '0');
            if ($criterion['levels'] === []) {
                $draft = $draft->set("{$at}.kind", CriterionKind::Comment->value);

                continue;
            }
            $places = self::placesIn($levels, $criterion['levels']);
            if ($places === null) {
                $own = array_map(
                    fn (int $i, array $level) => [
                        'id' => 'l'.($i + 1), 'title' => $level['title'], 'points' => $level['points'],
                    ],
                    array_keys($criterion['levels']), $criterion['levels'],
                );
                $draft = $draft->withCriterion($id, fn (array $c) => ['levels' => $own] + $c);
                $places = array_column($own, 'id');
            } else {
                foreach ($levels as $level) {
                    $draft = $draft->set(
                        "{$at}.unused.{$level['id']}", in_array($level['id'], $places, true) ? '' : '1',
                    );
                }
            }
            foreach ($criterion['levels'] as $i => $level) {
                $draft = $draft->set(
                    "{$at}.descriptors.{$places[$i]}", $level['descriptor'],
                )->set("{$at}.guidance.{$places[$i]}", $level['guidance']);
                if (
                    ! isset($draft->criteria()[$n]['levels'])
                    && $draft->get("levels.{$places[$i]}.points") !== $level['points']
                ) {
                    $draft = $draft->set("{$at}.overrides.{$places[$i]}", $level['points']);
                }
            }
        }

        return $draft;
    }

    /**
     * Where a criterion's levels stand among the rubric's: by name, in the same order; null if they do not.
     *
     * @param  list<array{id: string, title: string, points: string}>  $shared
     * @param  list<array{title: string, ...}>  $levels
     * @return list<string>|null
     */
    private static function placesIn(array $shared, array $levels): ?array
    {
        $places = [];
        $next = 0;
        foreach ($levels as $level) {
            while (isset($shared[$next]) && $shared[$next]['title'] !== $level['title']) {
                $next++;
            }
            if (! isset($shared[$next])) {
                return null;
            }
            $places[] = $shared[$next++]['id'];
        }

        return $places;
    }

    /**
     * Rows in the order of their positions, by the place they have in the file.
     *
     * @param  array<array-key, mixed>  $from
     * @return array<string, array<array-key, mixed>>
     */
    private static function ordered(Document $in, array $from, string $key, string $place, int $most): array
    {
        $rows = [];
        $positions = [];
        foreach ($in->rows($from, $key, $place, $most) as $i => $row) {
            $rows["{$place}[{$i}]"] = $row;
            $position = $row['position'] ?? $i;
            if (! is_int($position)) {
                $in->fault("{$place}[{$i}].position", 'must be a whole number');
                $position = $i;
            }
            $positions["{$place}[{$i}]"] = $position;
        }
        asort($positions);
        $ordered = [];
        foreach (array_keys($positions) as $at) {
            $ordered[$at] = $rows[$at];
        }

        return $ordered;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @param  array<string, true>  $seen
     */
    private static function identifier(Document $in, array $row, string $at, array &$seen): string
    {
        $id = $in->text($row, 'identifier', "{$at}identifier", 120, required: true);
        if ($id !== '' && isset($seen[$id])) {
            $in->fault("{$at}identifier", "the identifier \"{$id}\" stands twice");
        }
        $seen[$id] = true;

        return $id;
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function parent(Document $in, array $row, string $key, string $expected, string $place): void
    {
        if (isset($row[$key]) && $row[$key] !== $expected) {
            $in->fault("{$place}.{$key}", 'names another parent than the one it stands in');
        }
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function figure(Document $in, array $row, string $key, string $place): ?string
    {
        $value = $row[$key] ?? null;
        if ($value === null) {
            return null;
        }
        $text = is_int($value) || is_float($value) ? preg_replace('/\.0\z/', '', (string) json_encode($value)) : $value;
        if (Document::parse($text) === null) {
            $in->fault(
                "{$place}.{$key}", 'must be a number from 0 up with at most six digits before and after its point',
            );

            return null;
        }

        return is_string($text) ? $text : null;
    }

    private static function number(string $text): int|float
    {
        return Document::parse($text) === null ? 0 : (str_contains($text, '.') ? (float) $text : (int) $text);
    }
}
