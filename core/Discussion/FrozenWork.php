<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Discussion;

use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Everything one student wrote in a discussion, over all its topics, in order of time, as it stood when it closed for
 * them: what is marked. Written as one JSON document, whose SHA-256 is what the receipt seals.
 */
final readonly class FrozenWork
{
    public const FORM = 'young-harbor-posts';

    private const MOST_PIECES = 2000;

    private const MOST_LETTERS = 1_000_000;

    /**
     * @param  list<FrozenPiece>  $pieces  in order of time
     * @param  array{posts: int, replies: int, short: int, words: int, received: int}  $counts  facts: posts, replies, shorter ones, words, replies received
     */
    public function __construct(public array $pieces, public array $counts)
    {
    }

    public function toJson(): string
    {
        return json_encode([
            'form' => self::FORM, 'version' => 1, 'counts' => $this->counts,
            'pieces' => array_map(fn (FrozenPiece $one) => $one->toArray(), $this->pieces),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT)."\n";
    }

    /**
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromJson(string $json): self
    {
        $document = json_decode($json, true, 16);
        if (! is_array($document) || ($document['form'] ?? null) !== self::FORM || ($document['version'] ?? null) !== 1) {
            throw InvalidInput::at('form', 'is not that of frozen posts, version 1');
        }
        $in = new Document;
        $in->onlyKeys($document, ['form', 'version', 'counts', 'pieces']);
        $counts = [];
        foreach (['posts', 'replies', 'short', 'words', 'received'] as $key) {
            $counts[$key] = $in->whole($in->map($document, 'counts', 'counts'), $key, "counts.{$key}", 0, 100_000_000);
        }
        $pieces = [];
        foreach ($in->rows($document, 'pieces', 'pieces', self::MOST_PIECES) as $n => $row) {
            $pieces[] = self::piece($in, $row, "pieces[{$n}]");
        }
        $in->throwFaults();

        return new self($pieces, $counts);
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function piece(Document $in, array $row, string $place): FrozenPiece
    {
        $text = fn (array $from, string $key, string $at): string => $in->text($from, $key, "{$at}.{$key}", self::MOST_LETTERS);
        $kind = $text($row, 'kind', $place);
        in_array($kind, ['post', 'reply'], true) || $in->fault("{$place}.kind", 'must be post or reply');
        $beside = fn (array $one, string $at): array => ['who' => $text($one, 'who', $at), 'text' => $text($one, 'text', $at)];
        $answered = $files = [];
        foreach ($in->rows($row, 'answered', "{$place}.answered", self::MOST_PIECES) as $n => $one) {
            $answered[] = $beside($one, "{$place}.answered[{$n}]");
        }
        foreach ($in->rows($row, 'files', "{$place}.files", 100) as $n => $one) {
            $at = "{$place}.files[{$n}]";
            $files[] = [
                'name' => $text($one, 'name', $at), 'description' => $text($one, 'description', $at),
                'sha256' => $text($one, 'sha256', $at),
            ];
        }
        $answers = ($row['answers'] ?? null) === null ? null : $in->map($row, 'answers', "{$place}.answers");

        return new FrozenPiece(
            $text($row, 'id', $place), $kind === 'reply', $text($row, 'topic', $place), $text($row, 'text', $place),
            $text($row, 'html', $place), ($row['hidden'] ?? null) === null ? null : $text($row, 'hidden', $place),
            $answers === null ? null : $beside($answers, "{$place}.answers"), $answered, $files,
        );
    }
}
