<?php

declare(strict_types=1);

namespace App\Log;

use App\Backup\BackupFailed;
use DomainException;
use Error;
use ErrorException;
use LogicException;
use Monolog\Formatter\JsonFormatter;
use Monolog\LogRecord;
use Throwable;

/**
 * A line of JSON each, without what people wrote or are called. Messages of faults quote values, so a fault is told by
 * its kind, its place and the way there; its message stands only where it is about the program itself. Which request it
 * was stays.
 */
final class QuietJson extends JsonFormatter
{
    /** Context that tells what was done, never to whom. */
    private const CONTEXT = ['at', 'job', 'script', 'handin', 'why', 'exception', 'seconds', 'count', 'queue'];

    public function __construct()
    {
        parent::__construct(self::BATCH_MODE_NEWLINES, true, true);
        $this->setDateFormat('Y-m-d\TH:i:s.vP');
    }

    public function format(LogRecord $record): string
    {
        return $this->toJson([
            'at' => $record->datetime->format('Y-m-d\TH:i:s.vP'), 'level' => strtolower($record->level->getName()),
            'request' => $record->extra['request'] ?? null,
            'said' => ($record->context['exception'] ?? null) instanceof Throwable ? 'A fault.' : self::quiet($record->message),
            ...$this->context($record->context),
        ], true)."\n";
    }

    /**
     * @param  array<array-key, mixed>  $context
     * @return array<string, mixed>
     */
    private function context(array $context): array
    {
        $kept = [];
        foreach (array_intersect_key($context, array_flip(self::CONTEXT)) as $key => $value) {
            $kept[(string) $key] = match (true) {
                $value instanceof Throwable => $this->fault($value),
                is_string($value) => mb_substr(self::quiet($value), 0, 1000),
                is_scalar($value), $value === null => $value,
                default => get_debug_type($value),
            };
        }

        return $kept;
    }

    /**
     * @return array<string, mixed>
     */
    private function fault(Throwable $fault): array
    {
        $root = base_path().'/';
        $place = fn (string $file, int $line): string => str_replace($root, '', $file).":{$line}";
        $steps = array_map(
            fn (array $step) => isset($step['file'])
                ? $place($step['file'], (int) ($step['line'] ?? 0)) : $step['function'],
            array_slice($fault->getTrace(), 0, 15),
        );

        return [
            'kind' => $fault::class, ...($this->isOfTheProgram($fault) ? ['said' => self::quiet($fault->getMessage())] : []),
            'in' => $place($fault->getFile(), $fault->getLine()), 'steps' => $steps,
            ...($fault->getPrevious() === null ? [] : ['because_of' => $fault->getPrevious()::class]),
        ];
    }

    /** Whether its message is of variables, methods and files, not of what is in them. */
    private function isOfTheProgram(Throwable $fault): bool
    {
        return $fault instanceof Error || $fault instanceof ErrorException || $fault instanceof BackupFailed
            || ($fault instanceof LogicException && ! $fault instanceof DomainException);
    }

    private static function quiet(string $text): string
    {
        return (string) preg_replace(
            ["/'(?:[^'\\\\]|\\\\.)*'/u", '/"(?:[^"\\\\]|\\\\.)*"/u', '/“[^”]*”/u', '/[^\s<>@,;:]+@[^\s<>@,;:]+/u'],
            ["'…'", '"…"', '“…”', '…@…'], $text,
        );
    }
}
