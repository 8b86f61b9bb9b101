<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Formats\PageAnchor;
use YoungHarbor\Core\Formats\WebAnnotations;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Text\TextAnchor;

/**
 * Comments as annotations. Names of types, selectors and motivations: W3C, Web Annotation Data Model and Vocabulary,
 * Recommendations of 23 February 2017 (from memory).
 */
final class AnnotationsTest extends TestCase
{
    private const TEXT = 'The dues were a penny a ton at each entry — 港 and 😀 are code points too.';

    /**
     * @param  array<string, mixed>  $anchor
     * @return array<string, mixed>
     */
    private static function comment(array $anchor, string $kind = 'fix', ?string $criterion = null): array
    {
        return [
            'id' => '6f1c0f0e-7d0e-4a55-9d3b-2a8e1e6c0001', 'body' => 'Whose figure?', 'kind' => $kind,
            'criterion' => $criterion, 'anchor' => $anchor, 'created' => '2026-11-20T09:00:00Z',
            'modified' => '2026-11-20T09:05:00Z',
        ];
    }

    public function test_a_comment_on_words_can_be_found_again_by_what_the_file_says(): void
    {
        $start = (int) mb_strpos(self::TEXT, '😀');
        $document = WebAnnotations::of(
            'urn:uuid:x', 'TERN-417', self::TEXT,
            [self::comment(TextAnchor::at(self::TEXT, $start, $start + 1)->toArray(), 'question', 'Evidence')],
        );
        $one = $document['first']['items'][0];
        self::assertSame(
            ['AnnotationCollection', 'AnnotationPage', 'Annotation', 1],
            [$document['type'], $document['first']['type'], $one['type'], $document['total']],
        );
        [$quote, $position] = $one['target']['selector'];
        $points = mb_str_split($document['dcterms:source']['value']);
        self::assertSame(
            $quote['exact'],
            implode('', array_slice($points, $position['start'], $position['end'] - $position['start'])),
        );
        self::assertStringEndsWith($quote['prefix'], implode('', array_slice($points, 0, $position['start'])));
        self::assertStringStartsWith($quote['suffix'], implode('', array_slice($points, $position['end'])));
        self::assertSame(
            [['commenting', 'Whose figure?'], ['classifying', 'question'], ['tagging', 'Evidence']],
            array_map(fn (array $body) => [$body['purpose'], $body['value']], $one['body']),
        );
        self::assertSame(
            ['questioning', 'urn:uuid:6f1c0f0e-7d0e-4a55-9d3b-2a8e1e6c0001', '2026-11-20T09:05:00Z'],
            [$one['motivation'], $one['id'], $one['modified']],
        );
    }

    public function test_a_place_on_a_page_is_a_fragment_and_what_is_drawn_an_svg(): void
    {
        $box = PageAnchor::fromArray(
            ['file' => 2, 'page' => 7, 'shape' => 'box', 'points' => [[60.456, 20], [10, 45.5]]]
        );
        self::assertSame(
            [
                'type' => 'FragmentSelector', 'conformsTo' => 'http://tools.ietf.org/rfc/rfc8118',
                'value' => 'page=7&viewrect=10,20,50.46,25.5',
            ],
            $box->selector(),
        );
        self::assertEquals($box, PageAnchor::fromArray($box->toArray()));
        $drawn = PageAnchor::fromArray(
            ['file' => 1, 'page' => 1, 'shape' => 'freehand', 'points' => [[0, 0], [50, 12.25], [100, 100]]]
        )->selector();
        self::assertSame('page=1&viewrect=0,0,100,100', $drawn['value']);
        $svg = simplexml_load_string($drawn['refinedBy']['value']);
        self::assertNotFalse($svg);
        self::assertSame('M0 0 L50 12.25 L100 100', (string) $svg->path['d']);
        self::assertSame(
            'urn:uuid:x/file/2',
            WebAnnotations::of(
                'urn:uuid:x', 'TERN-417', '', [self::comment($box->toArray())],
            )['first']['items'][0]['target']['source'],
        );
    }

    /**
     * @param  array<string, mixed>  $anchor
     */
    #[DataProvider('nowhere')]
    public function test_what_is_no_place_is_refused(array $anchor): void
    {
        $this->expectException(InvalidInput::class);
        isset($anchor['page']) ? PageAnchor::fromArray($anchor) : TextAnchor::fromArray($anchor);
    }

    /**
     * @return array<string, array{array<string, mixed>}>
     */
    public static function nowhere(): array
    {
        return [
            'no words' => [['exact' => "\n ", 'start' => 0, 'end' => 2]],
            'backwards' => [['exact' => 'a', 'start' => 5, 'end' => 5]],
            'before the beginning' => [['exact' => 'a', 'start' => -1, 'end' => 1]],
            'no number' => [['exact' => 'a', 'start' => '1', 'end' => 2]],
            'not UTF-8' => [['exact' => "\xFF", 'start' => 1, 'end' => 2]],
            'page 0' => [['file' => 1, 'page' => 0, 'shape' => 'point', 'points' => [[1, 1]]]],
            'off the page' => [['file' => 1, 'page' => 1, 'shape' => 'point', 'points' => [[101, 1]]]],
            'half a box' => [['file' => 1, 'page' => 1, 'shape' => 'box', 'points' => [[1, 1]]]],
            'a scribble of thousands' => [
                ['file' => 1, 'page' => 1, 'shape' => 'freehand', 'points' => array_fill(0, 401, [1, 1])],
            ],
            'no file' => [['page' => 1, 'shape' => 'point', 'points' => [[1, 1]]]],
            'no shape' => [['file' => 1, 'page' => 1, 'points' => [[1, 1]]]],
            'words for numbers' => [['file' => 1, 'page' => 1, 'shape' => 'point', 'points' => [['a', 'b']]]],
        ];
    }
}
