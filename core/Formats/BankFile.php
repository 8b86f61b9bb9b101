<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use JsonException;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Tables\Csv;
use YoungHarbor\Core\Tables\CsvRows;
use YoungHarbor\Core\Text\CommentKind;

/**
 * A set of the comment bank as a table or as JSON: label, comment, kind, criterion. Both come in again as they went
 * out.
 */
final class BankFile
{
    public const MOST = 1000;

    public const LONGEST = 5000;

    /**
     * @param  list<array{label: string, text: string, kind: string, criterion: string}>  $comments
     */
    public static function csv(array $comments): string
    {
        $csv = "\u{FEFF}".Csv::line(['Label', 'Comment', 'Kind', 'Criterion']);
        foreach ($comments as $one) {
            $csv .= Csv::line([$one['label'], $one['text'], $one['kind'], $one['criterion']]);
        }

        return $csv;
    }

    /**
     * @param  list<array{label: string, text: string, kind: string, criterion: string}>  $comments
     */
    public static function json(string $title, array $comments): string
    {
        return json_encode(
            ['format' => 'young-harbor-comments', 'version' => 1, 'title' => $title, 'comments' => $comments],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        )."\n";
    }

    /**
     * Reads either.
     *
     * @return list<array{label: string, text: string, kind: string, criterion: string}>
     *
     * @throws InvalidInput naming each line that cannot be taken; then none is
     */
    public static function read(string $bytes): array
    {
        [$text] = CsvRows::utf8($bytes);
        $read = new Document;
        $rows = str_starts_with(ltrim($text), '{') ? self::fromJson($text, $read) : self::fromCsv($text);
        if (count($rows) > self::MOST) {
            $read->fault('', 'has '.count($rows).' comments; at most '.self::MOST.' are taken at a time');
        }
        $comments = [];
        foreach ($rows as $place => $row) {
            $comment = trim($read->text($row, 'text', $place, self::LONGEST, true));
            $label = trim($read->text($row, 'label', $place, 80));
            $kind = mb_strtolower(trim($read->text($row, 'kind', $place, 20)));
            if ($kind !== '' && CommentKind::tryFrom($kind) === null) {
                $read->fault($place, "has the kind “{$kind}”; there are ".implode(', ', CommentKind::keys()));
            }
            $comments[] = [
                'label' => $label !== '' ? $label : mb_substr((string) preg_replace('/\s+/u', ' ', $comment), 0, 60),
                'text' => $comment,
                'kind' => $kind === '' ? CommentKind::usual()->value : $kind,
                'criterion' => trim($read->text($row, 'criterion', $place, 200)),
            ];
        }
        $read->throwFaults();

        return $comments === [] ? throw InvalidInput::at('', 'there is no comment in this file') : $comments;
    }

    /**
     * @return array<string, array<array-key, mixed>> by place
     */
    private static function fromJson(string $text, Document $read): array
    {
        try {
            $document = json_decode($text, true, 16, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InvalidInput::at('', 'is not JSON: '.$e->getMessage());
        }
        $rows = [];
        foreach ($read->rows(is_array($document) ? $document : [], 'comments', 'comments', self::MOST) as $n => $row) {
            $rows["comments[{$n}]"] = $row;
        }

        return $rows;
    }

    /**
     * @return array<string, array<array-key, mixed>>
     *
     * @throws InvalidInput without a column for the comment
     */
    private static function fromCsv(string $text): array
    {
        $rows = [];
        foreach (CsvRows::byHeading($text) as $line => $row) {
            if (! array_key_exists('comment', $row)) {
                throw InvalidInput::at(
                    '', 'has no column “Comment”; the columns are Label, Comment, Kind and Criterion',
                );
            }
            $rows["line {$line}"] = [
                'text' => $row['comment'], 'label' => $row['label'] ?? '', 'kind' => $row['kind'] ?? '',
                'criterion' => $row['criterion'] ?? '',
            ];
        }

        return $rows;
    }
}
