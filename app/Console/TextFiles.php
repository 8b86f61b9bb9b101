<?php

declare(strict_types=1);

namespace App\Console;

use App\Extraction\Reader;
use App\Extraction\ReaderBusy;
use App\Extraction\Refusal;
use YoungHarbor\Core\Input\Fault;

/**
 * Reads files and folders that a command was given, telling of each that cannot be read.
 */
final class TextFiles
{
    public function __construct(private readonly Reader $reader)
    {
    }

    /**
     * @param  string  $path  "-" for what comes in
     * @param  list<Fault>  $faults
     */
    public function text(string $path, string $place, array &$faults): string
    {
        if ($path !== '-' && ! is_file($path)) {
            $faults[] = new Fault($place, "there is no file {$path}");

            return '';
        }
        if (
            $path === '-'
            || in_array(strtolower(pathinfo($path, PATHINFO_EXTENSION)), ['txt', 'md', 'text', 'markdown', ''], true)
        ) {
            $text = (string) file_get_contents($path === '-' ? 'php://stdin' : $path);
            mb_check_encoding($text, 'UTF-8') || $faults[] = new Fault($place, "{$path} is not in UTF-8");

            return mb_check_encoding($text, 'UTF-8') ? $text : '';
        }
        try {
            return $this->reader->read($path, basename($path))->text();
        } catch (Refusal|ReaderBusy $e) {
            $faults[] = new Fault($place, "{$path}: {$e->getMessage()}");

            return '';
        }
    }

    /**
     * @param  string  $folder  its files, in the order of their names; folders in it are not looked into
     * @param  list<Fault>  $faults
     * @param  string|null  $except  a file that is not taken, where it stands in the folder
     * @return array<string, string> texts by file name
     */
    public function folder(string $folder, string $place, array &$faults, ?string $except = null): array
    {
        if (! is_dir($folder)) {
            $faults[] = new Fault($place, "there is no folder {$folder}");

            return [];
        }
        $texts = [];
        foreach (glob(rtrim($folder, '/').'/*') ?: [] as $path) {
            if (is_file($path) && ($except === null || realpath($path) !== realpath($except))) {
                $texts[basename($path)] = $this->text($path, $place, $faults);
            }
        }
        if ($texts === []) {
            $faults[] = new Fault($place, "there is no file in {$folder}");
        }

        return $texts;
    }
}
