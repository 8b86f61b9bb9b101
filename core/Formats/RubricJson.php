<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use JsonException;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\Rubric;

/**
 * Our own JSON form of a rubric, which holds everything a rubric can say. public/rubric.schema.json describes it.
 */
final class RubricJson
{
    public const FORMAT = 'young-harbor-rubric';

    /** A rubric of 100 criteria by 12 levels with full texts stays well below this. */
    public const MOST_BYTES = 4_000_000;

    public static function write(Draft $draft): string
    {
        $criteria = $draft->criteria();
        foreach ($criteria as $i => $criterion) {
            foreach (['descriptors', 'guidance', 'overrides'] as $map) {
                if (isset($criterion[$map])) {
                    $criterion[$map] = (object) $criterion[$map];
                }
            }
            $criteria[$i] = $criterion;
        }
        $document = ['criteria' => $criteria] + $draft->document;

        return json_encode(
            ['format' => self::FORMAT, 'version' => 1] + $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /**
     * A draft from a file of ours. The file must be whole and well formed; what keeps the rubric from being ready
     * (weights that do not total 100, say) comes along and is named on the sheet.
     *
     * @throws InvalidInput naming the place of every fault
     */
    public static function read(string $json): Draft
    {
        $document = self::decode($json);
        $in = new Document;
        if (($document['format'] ?? null) !== self::FORMAT) {
            $in->fault('format', 'must be "'.self::FORMAT.'"');
        }
        if (($document['version'] ?? null) !== 1) {
            $in->fault('version', 'must be 1; this file was written by a later or unknown version');
        }
        $in->text($document, 'title', 'title', 200, required: true);
        $levels = $in->rows($document, 'levels', 'levels', Rubric::MOST_LEVELS);
        $criteria = $in->rows($document, 'criteria', 'criteria', Rubric::MOST_CRITERIA);
        $seen = [];
        foreach (['levels' => $levels, 'criteria' => $criteria] as $list => $rows) {
            foreach ($rows as $i => $row) {
                $id = $in->text($row, 'id', "{$list}[{$i}].id", 64, required: true);
                if (preg_match('/\A[A-Za-z0-9_-]{0,64}\z/', $id) !== 1) {
                    $in->fault("{$list}[{$i}].id", 'may hold letters, digits, - and _ only');
                }
                if (isset($seen[$list][$id])) {
                    $in->fault("{$list}[{$i}].id", "the id \"{$id}\" stands twice");
                }
                $seen[$list][$id] = true;
                $in->text($row, 'title', "{$list}[{$i}].title", 200);
            }
        }
        $in->throwFaults();
        unset($document['format'], $document['version']);
        /** @var array<string, mixed> $document */
        $draft = Draft::of($document);
        foreach ($draft->faults() as $fault) {
            // A working copy may be unfinished; a file may not be malformed.
            if (
                preg_match(
                    '/must be text|must be a list|must be an object|is not valid UTF-8|characters; at most|entries; at most|names a level that does not exist|must be "/',
                    $fault->what,
                ) === 1
            ) {
                $in->fault($fault->place, $fault->what);
            }
        }
        $in->throwFaults();

        return $draft;
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws InvalidInput for what is not a JSON object, nested too deeply or too large
     */
    public static function decode(string $json): array
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw InvalidInput::at(
                '',
                sprintf(
                    'the file has %.1f MB; a rubric has %.0f MB at most', strlen($json) / 1e6, self::MOST_BYTES / 1e6,
                ),
            );
        }
        try {
            $document = json_decode(preg_replace('/\A\x{FEFF}/u', '', $json) ?? $json, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InvalidInput::at('', 'the file is not JSON: '.lcfirst($e->getMessage()));
        }
        if (! is_array($document) || array_is_list($document)) {
            throw InvalidInput::at('', 'the file is JSON but not an object');
        }

        return $document;
    }
}
