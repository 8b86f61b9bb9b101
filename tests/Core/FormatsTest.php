<?php

declare(strict_types=1);

namespace Tests\Core;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Formats\CaseRubric;
use YoungHarbor\Core\Formats\RubricCsv;
use YoungHarbor\Core\Formats\RubricFile;
use YoungHarbor\Core\Formats\RubricJson;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\Rubric;

final class FormatsTest extends TestCase
{
    /**
     * A package written by hand; field names and nesting from memory of 1EdTech CASE 1.0 (CFPackage, CFRubric,
     * CFRubricCriterion, CFRubricCriterionLevel).
     *
     * @return array<string, mixed>
     */
    private static function package(): array
    {
        $level = fn (string $id, string $parent, string $quality, int|float $score, int $position): array => [
            'identifier' => $id, 'uri' => "https://case.example/levels/{$id}",
            'description' => "What {$quality} looks like", 'quality' => $quality,
            'score' => $score, 'feedback' => "From {$quality} onwards", 'position' => $position,
            'rubricCriterionId' => $parent, 'lastChangeDateTime' => '2026-01-15T09:00:00Z',
        ];

        return [
            'CFDocument' => [
                'identifier' => 'd-1', 'uri' => 'https://case.example/d-1', 'caseVersion' => '1.0',
                'creator' => 'Salt Pan School', 'title' => 'Rubrics', 'lastChangeDateTime' => '2026-01-15T09:00:00Z',
            ],
            'CFItems' => [], 'CFAssociations' => [],
            'CFRubrics' => [[
                'identifier' => 'r-1', 'uri' => 'https://case.example/r-1', 'title' => 'Field sketch',
                'description' => '', 'lastChangeDateTime' => '2026-01-15T09:00:00Z',
                'CFRubricCriteria' => [
                    ['identifier' => 'k-2', 'uri' => 'https://case.example/k-2', 'category' => 'Scale', 'description' => 'Can it be measured?', 'weight' => 66.67, 'position' => 2, 'rubricId' => 'r-1',
                        'CFRubricCriterionLevels' => [
                            $level('v-4', 'k-2', 'High', 4, 2), $level('v-3', 'k-2', 'Low', 0.5, 1),
                        ]],
                    ['identifier' => 'k-1', 'uri' => 'https://case.example/k-1', 'category' => 'Line', 'description' => 'Is it sure?', 'weight' => 33.33, 'position' => 1, 'rubricId' => 'r-1',
                        'CFRubricCriterionLevels' => [
                            $level('v-1', 'k-1', 'Low', 1, 1), $level('v-2', 'k-1', 'High', 4, 2),
                        ]],
                ],
            ]],
        ];
    }

    /** @param  array<mixed>  $document */
    private static function json(array $document): string
    {
        return json_encode($document, JSON_THROW_ON_ERROR);
    }

    public function test_a_case_package_becomes_a_rubric_in_the_order_of_its_positions(): void
    {
        $draft = CaseRubric::read(self::json(self::package()))[0];

        self::assertSame([], $draft->faults());
        self::assertSame('Field sketch', $draft->get('title'));
        self::assertSame(['Line', 'Scale'], array_column($draft->criteria(), 'title'));
        self::assertSame(['33.33', '66.67'], array_column($draft->criteria(), 'weight'));
        self::assertSame(
            ['Low', 'High'], array_column($draft->levels(), 'title'),
            'levels of the same names stand once for the rubric',
        );
        self::assertSame('0.5', $draft->get('criteria.c2.overrides.l1'), 'and a cell carries its own points');
        self::assertSame('What Low looks like', $draft->get('criteria.c1.descriptors.l1'));
        self::assertSame('From High onwards', $draft->get('criteria.c2.guidance.l2'));
    }

    public function test_a_rubric_without_weights_is_marked_by_points(): void
    {
        $package = self::package();
        unset(
            $package['CFRubrics'][0]['CFRubricCriteria'][0]['weight'],
            $package['CFRubrics'][0]['CFRubricCriteria'][1]['weight'],
        );

        self::assertSame('points', CaseRubric::read(self::json($package))[0]->get('weighting'));
        self::assertCount(1, CaseRubric::read(self::json($package['CFRubrics'][0])), 'a rubric by itself is read too');
    }

    /**
     * @param  callable(array<string, mixed>): array<string, mixed>  $break
     */
    #[DataProvider('brokenPackages')]
    public function test_a_fault_is_named_by_its_place_and_nothing_is_taken(callable $break, string $fault): void
    {
        try {
            CaseRubric::read(self::json($break(self::package())));
            self::fail('It was read.');
        } catch (InvalidInput $e) {
            self::assertStringContainsString($fault, $e->getMessage());
        }
    }

    /** @return iterable<string, array{callable, string}> */
    public static function brokenPackages(): iterable
    {
        $at = fn (array $path, mixed $value): callable => function (array $package) use ($path, $value): array {
            $here = &$package;
            foreach ($path as $key) {
                $here = &$here[$key];
            }
            $here = $value;

            return $package;
        };
        $criterion = ['CFRubrics', 0, 'CFRubricCriteria', 0];
        yield 'no identifier' => [
            $at([...$criterion, 'identifier'], ''), 'CFRubrics[0].CFRubricCriteria[0].identifier: is missing',
        ];
        yield 'identifier twice' => [$at([...$criterion, 'identifier'], 'k-1'), 'stands twice'];
        yield 'wrong parent' => [
            $at([...$criterion, 'rubricId'], 'r-9'), 'CFRubrics[0].CFRubricCriteria[0].rubricId: names another parent',
        ];
        yield 'wrong parent of a level' => [
            $at([...$criterion, 'CFRubricCriterionLevels', 1, 'rubricCriterionId'], 'k-1'),
            'CFRubricCriterionLevels[1].rubricCriterionId: names another parent',
        ];
        yield 'no score' => [
            $at([...$criterion, 'CFRubricCriterionLevels', 0, 'score'], null),
            'CFRubricCriterionLevels[0].score: is missing',
        ];
        yield 'a negative score' => [
            $at([...$criterion, 'CFRubricCriterionLevels', 0, 'score'], -1), 'must be a number from 0 up',
        ];
        yield 'a score in words' => [
            $at([...$criterion, 'CFRubricCriterionLevels', 0, 'score'], '1e2'), 'must be a number from 0 up',
        ];
        yield 'one weight of two' => [$at([...$criterion, 'weight'], null), 'only 1 of 2 criteria have a weight'];
        yield 'an unknown version' => [$at(['CFDocument', 'caseVersion'], '7.3'), 'CFDocument.caseVersion: is "7.3"'];
        yield 'no rubrics' => [
            fn (array $package): array => ['CFDocument' => $package['CFDocument']], 'CFRubrics: is missing',
        ];
        yield 'a list where an object belongs' => [$at(['CFRubrics', 0], 'x'), 'CFRubrics[0]: must be an object'];
        yield '200 criteria' => [
            $at(['CFRubrics', 0, 'CFRubricCriteria'], array_fill(0, 200, [])), 'has 200 entries; at most 100',
        ];
        yield 'a title of 10,000 characters' => [
            $at([...$criterion, 'category'], str_repeat('x', 10000)), 'category: has 10000 characters; at most 200',
        ];
    }

    public function test_what_case_holds_comes_back_as_it_went_out(): void
    {
        foreach (require __DIR__.'/../../database/starter/rubrics.php' as $document) {
            $out = Draft::of($document);
            $lost = CaseRubric::lost($out);
            $json = CaseRubric::write(
                $out, fn (string $path): string => md5($path), 'https://harbor.example', '2026-01-15T09:00:00Z',
            );
            $back = CaseRubric::read($json)[0];
            self::assertSame($out->get('title'), $back->get('title'));
            if ($lost === []) {
                self::assertSame(self::held($out), self::held($back), $out->get('title'));
            }
            foreach ($lost as $sentence) {
                self::assertMatchesRegularExpression(
                    '/scales, checklists|range of points|optional|do not see points/', $sentence,
                );
            }
        }
    }

    /**
     * What CASE can hold of a rubric: titles, purposes, weights, and of each usable level its name, points, descriptor
     * and guidance.
     *
     * @return array<mixed>
     */
    private static function held(Draft $draft): array
    {
        return array_map(fn ($criterion) => [$criterion->title(), $criterion->purpose(), Figure::plain(
            $criterion->weight()
        ), $criterion instanceof LevelCriterion
            ? array_map(
                fn ($level) => [$level->title, Figure::plain($level->points), $level->descriptor, $level->guidance],
                $criterion->usable(),
            ) : []], Rubric::fromArray($draft->document)->criteria);
    }

    public function test_our_own_form_holds_everything_and_follows_its_published_schema(): void
    {
        $schema = (string) file_get_contents(__DIR__.'/../../public/rubric.schema.json');
        $validator = new Validator;
        foreach (
            [
                ...require __DIR__.'/../../database/starter/rubrics.php',
                ...array_values(require __DIR__.'/../../database/demo/rubrics.php'), Draft::blank('Blank')->document,
            ] as $document
        ) {
            $json = RubricJson::write(Draft::of($document));
            $result = $validator->validate(json_decode($json), $schema);
            self::assertTrue(
                $result->isValid(),
                $document['title'].': '.json_encode(
                    $result->error() === null ? [] : (new ErrorFormatter)->format($result->error()), JSON_PRETTY_PRINT,
                ),
            );
            self::assertSame(Draft::of($document)->fields(), RubricJson::read($json)->fields());
        }
        foreach (
            [
                '{"format":"other"}',
                '{"format":"young-harbor-rubric","version":1,"title":"x","criteria":[{"title":"no id"}]}',
                '{"format":"young-harbor-rubric","version":1,"title":"x","weighting":"luck","criteria":[]}',
            ] as $bad
        ) {
            self::assertFalse($validator->validate(json_decode($bad), $schema)->isValid(), $bad);
        }
    }

    #[DataProvider('badFiles')]
    public function test_a_file_that_is_no_rubric_is_refused_and_says_why(string $content, string $why): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage($why);
        RubricFile::read($content, 'rubric.json');
    }

    /** @return iterable<string, array{string, string}> */
    public static function badFiles(): iterable
    {
        $own = fn (array $more): string => self::json(
            $more + [
                'format' => 'young-harbor-rubric', 'version' => 1, 'title' => 'T', 'levels' => [], 'criteria' => [],
            ]
        );
        yield 'empty' => ['', 'empty'];
        yield 'binary' => ["\x89PNG\xff", 'not UTF-8'];
        yield 'cut off' => ['{"format": "young-harbor-rubric", "title', 'not JSON'];
        yield 'a list' => ['[1,2]', 'not an object'];
        yield 'too deep' => [str_repeat('{"a":', 60).'1'.str_repeat('}', 60), 'not JSON: maximum stack depth'];
        yield 'fifty megabytes' => ['{"format":"'.str_repeat('x', 50_000_000).'"}', 'has 50.0 MB'];
        yield 'a later version' => [$own(['version' => 9]), 'version: must be 1'];
        yield 'ids that could do harm' => [
            $own(['criteria' => [['id' => 'a][b', 'title' => 'x']]]), 'letters, digits, - and _ only',
        ];
        yield 'an id twice' => [
            $own(
                [
                    'levels' => [
                        ['id' => 'l1', 'title' => 'x', 'points' => '1'],
                        ['id' => 'l1', 'title' => 'y', 'points' => '2'],
                    ],
                ]
            ),
            'levels[1].id: the id "l1" stands twice',
        ];
        yield 'numbers where text belongs' => [
            $own(['criteria' => [['id' => 'c1', 'title' => 5]]]), 'criteria[0].title: must be text',
        ];
        yield 'a title too long' => [
            $own(['title' => str_repeat('x', 10_000)]), 'title: has 10000 characters; at most 200',
        ];
        yield 'a page' => ['<script>alert(1)</script>', 'no table'];
    }

    public function test_an_unfinished_rubric_comes_in_as_a_working_copy(): void
    {
        $draft = RubricFile::read(
            self::json(
                [
                    'format' => 'young-harbor-rubric', 'version' => 1, 'title' => 'Half done',
                    'levels' => [['id' => 'l1', 'title' => 'One', 'points' => '1']],
                    'criteria' => [['id' => 'c1', 'title' => 'A', 'weight' => '33,33', 'kind' => 'levels']],
                ]
            ),
            'x.json',
        )[0];

        self::assertSame('33,33', $draft->get('criteria.c1.weight'));
        self::assertNotSame([], $draft->faults());
    }

    public function test_a_table_goes_out_and_comes_back(): void
    {
        $out = Draft::of((require __DIR__.'/../../database/starter/rubrics.php')[0])->set('criteria.c1.title', '=2+3')
            ->set('criteria.c2.descriptors.l2', '’Tis \'so\'')->set('criteria.c2.descriptors.l3', "'Tis quoted")
            ->set('criteria.c1.descriptors.l1', "Two\nlines, \"quoted\"");
        $back = RubricFile::read(RubricCsv::write($out), 'argued_essay.csv')[0];

        self::assertSame('argued essay', $back->get('title'));
        self::assertSame('=2+3', $back->get('criteria.c1.title'));
        self::assertSame("Two\nlines, \"quoted\"", $back->get('criteria.c1.descriptors.l1'));
        self::assertSame(
            array_map(
                $out->get(...),
                [
                    'criteria.c2.descriptors.l2', 'criteria.c2.descriptors.l3', 'criteria.c2.purpose',
                    'criteria.c5.weight', 'levels.l3.points',
                ],
            ),
            array_map(
                $back->get(...),
                [
                    'criteria.c2.descriptors.l2', 'criteria.c2.descriptors.l3', 'criteria.c2.purpose',
                    'criteria.c5.weight', 'levels.l3.points',
                ],
            ),
        );
        self::assertStringContainsString(
            'guidance to the next level: “Argument”',
            implode("\n", RubricCsv::lost($out->set('criteria.c1.title', 'Argument'))),
        );
    }
}
