<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Text\CommentKind;
use YoungHarbor\Core\Text\TextAnchor;

/**
 * Comments on a script as an annotation collection (W3C Web Annotation Data Model and its JSON-LD context, 2017): each
 * has a textual body, and a target with a TextQuoteSelector and a TextPositionSelector, or on a page a FragmentSelector
 * and for what is drawn an SvgSelector. The text they count in goes along, so that they can be found in it again.
 */
final class WebAnnotations
{
    /**
     * @param  string  $source  stands for the script in every target
     * @param  list<array{id: string, body: string, kind: string, criterion: string|null, anchor: array<string, mixed>, created: string, modified: string}>  $comments  times as ISO 8601
     * @return array<string, mixed>
     */
    public static function of(string $source, string $code, string $text, array $comments): array
    {
        return [
            '@context' => 'http://www.w3.org/ns/anno.jsonld', 'id' => $source.'#comments',
            'type' => 'AnnotationCollection', 'label' => "Comments on {$code}", 'total' => count($comments),
            'first' => [
                'id' => $source.'#comments-1', 'type' => 'AnnotationPage', 'startIndex' => 0,
                'items' => array_map(fn (array $one) => self::annotation($source, $one), $comments),
            ],
            'dcterms:source' => [
                'id' => $source, 'type' => 'Text', 'format' => 'text/plain', 'version' => TextAnchor::versionOf($text),
                'value' => $text,
            ],
        ];
    }

    /**
     * @param  array{id: string, body: string, kind: string, criterion: string|null, anchor: array<string, mixed>, created: string, modified: string}  $comment
     * @return array<string, mixed>
     */
    private static function annotation(string $source, array $comment): array
    {
        $anchor = $comment['anchor'];
        $selector = isset($anchor['page']) ? PageAnchor::fromArray($anchor)->selector() : [
            [
                'type' => 'TextQuoteSelector', 'exact' => $anchor['exact'], 'prefix' => $anchor['prefix'],
                'suffix' => $anchor['suffix'],
            ],
            ['type' => 'TextPositionSelector', 'start' => $anchor['start'], 'end' => $anchor['end']],
        ];

        return [
            'id' => 'urn:uuid:'.$comment['id'], 'type' => 'Annotation',
            'motivation' => CommentKind::from($comment['kind'])->motivation(), 'created' => $comment['created'],
            'modified' => $comment['modified'],
            'body' => [
                [
                    'type' => 'TextualBody', 'value' => $comment['body'], 'format' => 'text/plain',
                    'purpose' => 'commenting',
                ],
                ['type' => 'TextualBody', 'value' => $comment['kind'], 'purpose' => 'classifying'],
                ...(
                    $comment['criterion'] === null
                        ? []
                        : [['type' => 'TextualBody', 'value' => $comment['criterion'], 'purpose' => 'tagging']]
                ),
            ],
            'target' => [
                'source' => is_int($anchor['file'] ?? null) ? "{$source}/file/{$anchor['file']}" : $source,
                'selector' => $selector,
            ],
        ];
    }
}
