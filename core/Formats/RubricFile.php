<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;

/**
 * A file with one rubric or more, in whichever of the forms that can be read: told by what is in it, not by its name.
 */
final class RubricFile
{
    /**
     * @param  string  $name  the file's name, which titles a table that has no title of its own
     * @return non-empty-list<Draft>
     *
     * @throws InvalidInput naming the place of every fault
     */
    public static function read(string $content, string $name): array
    {
        if (! mb_check_encoding($content, 'UTF-8')) {
            throw InvalidInput::at('', 'the file is not UTF-8 text; save it as JSON, or as CSV in UTF-8');
        }
        $start = ltrim(preg_replace('/\A\x{FEFF}/u', '', $content) ?? $content);
        if ($start === '') {
            throw InvalidInput::at('', 'the file is empty');
        }
        if ($start[0] !== '{' && $start[0] !== '[') {
            return [RubricCsv::read($content, self::title($name))];
        }
        $document = RubricJson::decode($content);

        return isset($document['format']) ? [RubricJson::read($content)] : CaseRubric::read($content);
    }

    private static function title(string $name): string
    {
        return mb_substr(
            trim(str_replace(['_', '-'], ' ', preg_replace('/\.[A-Za-z0-9]{1,5}\z/', '', $name) ?? $name)), 0, 200,
        ) ?: 'Rubric from a file';
    }
}
