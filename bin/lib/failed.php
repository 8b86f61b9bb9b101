<?php

declare(strict_types=1);

// Says which checks of a report failed, each with the first lines of why.
//   php bin/lib/failed.php REPORT     (JUnit's XML as PHPUnit writes it, or Playwright's JSON)
// Prints nothing when none failed; one sentence when the report is not there or cannot be read.

const LINES = 14;
const MARKS = '/\e\[[0-9;]*m/'; // colours of a terminal

$file = $argv[1] ?? '';
$text = is_file($file) ? (string) file_get_contents($file) : '';

/** @param  list<string>  $failed */
$say = static function (array $failed): void {
    foreach ($failed as $one) {
        $lines = array_filter(explode("\n", (string) preg_replace(MARKS, '', $one)), static fn (string $l): bool => trim($l) !== '');
        echo implode("\n    ", array_slice(array_values($lines), 0, LINES)), "\n";
    }
};

$junit = static function (SimpleXMLElement $root): array {
    $failed = [];
    foreach ($root->xpath('//testcase[failure or error]') ?: [] as $case) {
        foreach ([...$case->failure, ...$case->error] as $why) {
            $failed[] = "{$case['class']}::{$case['name']}\n{$why}";
        }
    }

    return $failed;
};

$playwright = static function (array $suite) use (&$playwright): array {
    $failed = [];
    foreach ($suite['suites'] ?? [] as $inner) {
        $failed = [...$failed, ...$playwright($inner)];
    }
    foreach ($suite['specs'] ?? [] as $spec) {
        foreach ($spec['tests'] ?? [] as $test) {
            if (! in_array($test['status'] ?? '', ['unexpected', 'flaky'], true)) {
                continue;
            }
            $results = array_filter($test['results'] ?? [], static fn (array $r): bool => isset($r['error']));
            $why = reset($results)['error']['message'] ?? 'without a message';
            $failed[] = "{$spec['file']}:{$spec['line']} {$spec['title']}\n{$why}";
        }
    }

    return $failed;
};

if (str_ends_with($file, '.json')) {
    $read = json_decode($text, true);
    is_array($read) ? $say([...array_column($read['errors'] ?? [], 'message'), ...$playwright($read)]) : print basename($file)." was not written: this part ended early.\n";
} else {
    $read = $text === '' ? false : @simplexml_load_string($text);
    $read !== false ? $say($junit($read)) : print basename($file)." was not written: this part ended early.\n";
}
