<?php

declare(strict_types=1);

/*
 * A simulated open web, for the demo and for tests: made-up pages, and a search over them. Nothing leaves the machine.
 *     php -S 127.0.0.1:PORT services/open-web/index.php
 *
 *     GET /search?q=words        {"simulated":true,"results":[{"url":"…","title":"…"}]}
 *     GET /pages/NAME            the page, as HTML
 *     GET /behave?as=MODE        well, slow, down or nonsense, from now on, to see what a client makes of it
 */

/** @return list<string> */
function words(string $text): array
{
    preg_match_all('/[\p{L}\p{M}\p{N}]+/u', mb_strtolower($text), $found);

    return $found[0];
}

/** @return array<string, true> three words in a row */
function triples(string $text): array
{
    $words = words($text);
    $triples = [];
    for ($i = 0; $i + 2 < count($words); $i++) {
        $triples["{$words[$i]} {$words[$i + 1]} {$words[$i + 2]}"] = true;
    }

    return $triples;
}

require __DIR__.'/../simulated.php';

$behaves = behaviour('open-web', ['well', 'slow', 'down', 'nonsense']);
if ($behaves === null) {
    return;
}
if ($behaves === 'nonsense') {
    echo '<html><body>Please accept our cookies.</body></html>';

    return;
}
$path = (string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH);

$pages = [];
foreach (glob(__DIR__.'/pages/*.txt') ?: [] as $file) {
    [$title, $body] = explode("\n", (string) file_get_contents($file), 2);
    $pages[basename($file, '.txt')] = ['title' => trim($title), 'body' => trim($body)];
}

if ($path === '/search') {
    $asked = triples((string) ($_GET['q'] ?? ''));
    $scores = [];
    foreach ($pages as $name => $page) {
        $shared = count(array_intersect_key($asked, triples($page['body'])));
        if ($shared >= 2 || ($shared === 1 && count($asked) === 1)) {
            $scores[$name] = $shared;
        }
    }
    arsort($scores);
    $at = 'http://'.($_SERVER['HTTP_HOST'] ?? '127.0.0.1');
    header('Content-Type: application/json');
    echo json_encode(
        [
            'simulated' => true,
            'results' => array_map(
                fn (string $name): array => ['url' => "{$at}/pages/{$name}", 'title' => $pages[$name]['title']],
                array_slice(array_keys($scores), 0, 10),
            ),
        ],
        JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
    );
} elseif (preg_match('~\A/pages/([a-z0-9-]+)\z~', $path, $found) === 1 && isset($pages[$found[1]])) {
    $page = $pages[$found[1]];
    $e = fn (string $text): string => htmlspecialchars($text, ENT_QUOTES, 'UTF-8');
    header('Content-Type: text/html; charset=utf-8');
    echo "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>{$e($page['title'])}</title></head><body><nav>Made-up pages of a simulated open web</nav><main><h1>{$e($page['title'])}</h1>";
    foreach (preg_split('/\n\s*\n/', $page['body']) ?: [] as $paragraph) {
        echo "<p>{$e(trim($paragraph))}</p>";
    }
    echo '</main></body></html>';
} elseif ($path === '/') {
    header('Content-Type: text/plain; charset=utf-8');
    echo 'A simulated open web of '.count($pages)." made-up pages. Ask /search?q=words\n";
} else {
    http_response_code(404);
    echo 'There is no such page.';
}
