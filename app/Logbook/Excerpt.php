<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\LogbookLine;
use InvalidArgumentException;
use JsonException;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\ChainedLine;
use YoungHarbor\Core\Logbook\ChainHead;

/**
 * Some lines of the logbook in a file that can be verified elsewhere: the lines chosen are there in full, with their
 * free texts; all others stand in it as the hash of their content.
 */
final readonly class Excerpt
{
    /**
     * @param  list<ChainedLine>  $lines  all of the logbook
     */
    private function __construct(
        public array $lines,
        public ChainHead $head,
    ) {
    }

    /**
     * @param  callable(LogbookLine): bool  $chosen
     * @return iterable<string> the file, line by line
     */
    public static function write(ChainHead $head, string $publicKey, callable $chosen): iterable
    {
        yield json_encode(
            [
                'logbook' => 1, 'count' => $head->count, 'hash' => $head->hash, 'signature' => $head->signature,
                'public_key' => $publicKey,
            ],
            JSON_THROW_ON_ERROR,
        )."\n";
        foreach (
            LogbookLine::query()->with('words')->where('number', '<=', $head->count)->orderBy('number')
                ->lazy(500) as $line
        ) {
            $core = $line->toCore();
            yield json_encode(['number' => $line->number, 'hash' => $line->hash, ...($core->content !== null && $chosen($line)
                ? [
                    'content' => $core->content,
                    'words' => $line->words->whereNotNull('text')
                        ->map(fn ($text) => ['field' => $text->field, 'salt' => $text->salt, 'text' => $text->text])
                        ->values()->all(),
                ]
                : ['content_hash' => $core->contentHash()])], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)."\n";
        }
    }

    /**
     * @throws InvalidArgumentException when it is no excerpt
     */
    public static function fromJson(string $file): self
    {
        $rows = [];
        foreach (explode("\n", trim($file)) as $n => $row) {
            try {
                $read = json_decode($row, true, 32, JSON_THROW_ON_ERROR);
            } catch (JsonException) {
                $read = null;
            }
            $rows[] = is_array($read)
                ? $read
                : throw new InvalidArgumentException(
                    'This is no excerpt of a logbook: line '.($n + 1).' of the file is no JSON object.'
                );
        }
        $first = array_shift($rows);
        if (
            ! is_int($first['count'] ?? null) || ! is_string($first['hash'] ?? null)
            || ! is_string($first['signature'] ?? null)
        ) {
            throw new InvalidArgumentException('This is no excerpt of a logbook: its first line holds no head.');
        }

        return new self(
            array_map(self::line(...), $rows), new ChainHead($first['count'], $first['hash'], $first['signature']),
        );
    }

    /** How many lines are there in full. */
    public function whole(): int
    {
        return count(array_filter($this->lines, fn (ChainedLine $line) => $line->content !== null));
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function line(array $row): ChainedLine
    {
        [$number, $hash, $content] = [$row['number'] ?? null, $row['hash'] ?? null, $row['content'] ?? null];
        if (! is_int($number) || ! is_string($hash)) {
            throw new InvalidArgumentException('This is no excerpt of a logbook: a line has no number or no hash.');
        }
        if (! is_array($content)) {
            return is_string($row['content_hash'] ?? null)
                ? ChainedLine::hidden($number, $hash, $row['content_hash'])
                : ChainedLine::broken($number, $hash);
        }
        $texts = is_array($content['texts'] ?? null) ? $content['texts'] : [];
        foreach (is_array($row['words'] ?? null) ? $row['words'] : [] as $text) {
            $field = is_array($text) && is_string($text['field'] ?? null) ? $text['field'] : '';
            if (
                ! is_array($text)
                || Chain::commitment(
                    (string) ($text['salt'] ?? ''), (string) ($text['text'] ?? ''),
                ) !== ($texts[$field] ?? null)
            ) {
                return ChainedLine::broken($number, $hash);
            }
        }

        return ChainedLine::whole(
            $number, $hash, array_combine(array_map(strval(...), array_keys($content)), $content),
        );
    }
}
