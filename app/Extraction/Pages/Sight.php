<?php

declare(strict_types=1);

namespace App\Extraction\Pages;

use App\Extraction\Child;
use App\Extraction\Refusal;
use Symfony\Component\Process\ExecutableFinder;

/**
 * Reads words out of a picture (tesseract).
 */
final class Sight
{
    /** Below this confidence, of 100, a word may be none. It is looked at all the same: a name can be among them. */
    private const SURE = 25;

    private static ?bool $there = null;

    public function __construct(private readonly Child $child)
    {
    }

    public static function isThere(): bool
    {
        return self::$there ??= (new ExecutableFinder)->find('tesseract') !== null;
    }

    /**
     * @param  string  $path  of a picture
     * @param  float  $dots  of the picture, a point of 1/72 inch
     * @return list<list<Box>>|null lines; null when it could not be read in time
     */
    public function read(string $path, float $dots): ?array
    {
        try {
            $read = $this->child->run(
                [
                    'tesseract', $path, 'stdout', '--dpi', (string) max(70, (int) round($dots * 72)), '--psm', '3',
                    '-l', 'eng', 'tsv',
                ],
                limitAddressSpace: false, reads: [$path],
            );
        } catch (Refusal) {
            return null;
        }
        if ($read['exit'] !== 0) {
            return null;
        }
        $lines = [];
        foreach (explode("\n", mb_scrub($read['out'])) as $row) {
            $columns = explode("\t", $row);
            if (count($columns) === 12 && $columns[0] === '5' && trim($columns[11]) !== '') {
                [$left, $top, $width, $height] = array_map(
                    fn (string $pixels) => (float) $pixels / $dots, array_slice($columns, 6, 4),
                );
                $lines["{$columns[2]}.{$columns[3]}.{$columns[4]}"][] = new Box(
                    trim($columns[11]), $left, $top, $left + $width, $top + $height, (float) $columns[10] >= self::SURE,
                );
            }
        }

        return array_values($lines);
    }
}
