<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Handin;
use App\Models\HandinFile;
use YoungHarbor\Core\Text\PlacedHtml;
use YoungHarbor\Core\Text\TextAnchor;

/**
 * A student's own text with the comments of their result at their places, as the markers read it: without names.
 */
final readonly class ResultText
{
    /**
     * @param  list<array{html: string, comments: list<array<string, mixed>>}>  $blocks
     * @param  list<array<string, mixed>>  $elsewhere  comments on pages, and those whose words are no longer there
     * @param  list<array{number: int}>  $files  of which pages can be shown, where a comment lies on one
     */
    private function __construct(public array $blocks, public array $elsewhere, public array $files)
    {
    }

    /**
     * @param  array<string, mixed>  $document  of a result
     */
    public static function of(array $document): ?self
    {
        $handin = Handin::query()->where('public_id', $document['handin'] ?? '')->first();
        if ($handin === null) {
            return null;
        }
        $text = ScriptText::of($handin);
        $version = TextAnchor::versionOf($text);
        $places = $elsewhere = $byNumber = [];
        foreach ($document['comments'] ?? [] as $comment) {
            $byNumber[$comment['number']] = $comment;
            $place = $comment['page'] === null
                ? TextAnchor::fromArray($comment['anchor'])->in($text, $version)
                : null;
            if ($place === null) {
                $elsewhere[] = $comment;

                continue;
            }
            $places[] = [
                'start' => $place[0], 'end' => $place[1], 'number' => $comment['number'], 'kind' => $comment['key'],
                'label' => __('release.comment_label', ['number' => $comment['number'], 'kind' => $comment['kind']]),
            ];
        }

        return new self(
            array_map(fn (array $block) => [
                'html' => $block['html'],
                'comments' => array_map(fn (int $number) => $byNumber[$number], $block['numbers']),
            ], PlacedHtml::blocks($handin->html, $places)),
            $elsewhere,
            array_filter($elsewhere, fn (array $one) => $one['page'] !== null) === []
                ? []
                : array_values($handin->files->whereNotNull('pages_path')
                    ->map(fn (HandinFile $file) => ['number' => $file->position])->all()),
        );
    }
}
