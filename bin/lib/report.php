<?php

declare(strict_types=1);

// Reads a report of checks: how many passed and failed, and which failed, each with the first lines of why.
//   php bin/lib/report.php REPORT STATUS WHERE     (JUnit's XML as PHPUnit writes it, or Playwright's JSON)
// Prints "PASSED FAILED"; what failed is added to the file WHERE. A report that is not there, or cannot be read, counts
// as one that failed, and so does a program that ended with another STATUS than 0 though its report names nothing.

const LINES = 14;
const COLOURS = '/\e\[[0-9;]*m/'; // of a terminal

[, $file, $status, $where] = $argv;
$text = is_file($file) ? (string) file_get_contents($file) : '';

/** @return array{int, list<string>} how many passed, and what failed */
$junit = static function (string $text): ?array {
    $root = $text === '' ? false : @simplexml_load_string($text);
    if ($root === false) {
        return null;
    }
    $failed = [];
    foreach ($root->xpath('//testcase[failure or error]') ?: [] as $case) {
        $failed[] = "{$case['class']}::{$case['name']}\n".($case->failure[0] ?? $case->error[0]);
    }
    $passed = count($root->xpath('//testcase[not(failure or error or skipped)]') ?: []);

    return [$passed, $failed];
};

/** @return array{int, list<string>} */
$playwright = static function (string $text): ?array {
    $root = json_decode($text, true);
    if (! is_array($root)) {
        return null;
    }
    $failed = array_column($root['errors'] ?? [], 'message');
    $walk = static function (array $suite) use (&$walk, &$failed): void {
        array_map($walk, $suite['suites'] ?? []);
        foreach ($suite['specs'] ?? [] as $spec) {
            foreach ($spec['tests'] ?? [] as $test) {
                if (in_array($test['status'] ?? '', ['unexpected', 'flaky'], true)) {
                    $errors = array_column(array_column($test['results'] ?? [], 'error'), 'message');
                    $failed[] = "{$spec['file']}:{$spec['line']} {$spec['title']}\n".($errors[0] ?? '');
                }
            }
        }
    };
    $walk($root);

    return [(int) ($root['stats']['expected'] ?? 0), $failed];
};

[$passed, $failed] = (str_ends_with($file, '.json') ? $playwright($text) : $junit($text))
    ?? [0, [basename($file).' cannot be read: this part ended early.']];
if ($failed === [] && $status !== '0') {
    $failed = [basename($file)." names nothing that failed, but the program ended with {$status}."];
}
foreach ($failed as $one) {
    $lines = preg_grep('/\S/', explode("\n", (string) preg_replace(COLOURS, '', $one))) ?: [];
    file_put_contents($where, implode("\n    ", array_slice($lines, 0, LINES))."\n", FILE_APPEND);
}
echo "{$passed} ".count($failed)."\n";
