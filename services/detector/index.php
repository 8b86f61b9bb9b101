<?php

declare(strict_types=1);

/*
 * A simulated outside detector, for the demo and for tests. It is none: it counts set phrases, and its error rates are
 * invented. Nothing leaves the machine, and nothing is kept.
 *     php -S 127.0.0.1:PORT services/detector/index.php
 *
 *     POST /judge  {"text":"…","language":"English"}
 *                  {"detector":"…","simulated":true,"score":0.42,"stated":{"false_alarm_rate":0.08,"miss_rate":0.31,"measured_on":"…"}}
 *     GET /behave?as=MODE   well, slow, down, nonsense or page, from now on, to see what a client makes of it
 */

require __DIR__.'/../simulated.php';

$behaves = behaviour('detector', ['well', 'slow', 'down', 'nonsense', 'page']);
if ($behaves === null) {
    return;
}
$path = (string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH);
header('Content-Type: application/json');
if ($behaves === 'nonsense') {
    echo '{"score":"very","stated":7}';

    return;
}
$asked = json_decode((string) file_get_contents('php://input'), true);
$text = is_array($asked) && is_string($asked['text'] ?? null) ? $asked['text'] : '';
if ($path !== '/judge' || trim($text) === '') {
    http_response_code($path === '/judge' ? 422 : 404);
    echo json_encode(['error' => $path === '/judge' ? 'There is no text.' : 'There is nothing here.']);

    return;
}
$words = max(1, (int) preg_match_all('/\p{L}+/u', $text));
$phrases = (int) preg_match_all(
    '/\b(?:furthermore|moreover|overall|in particular|in addition|as a result|important to|significan\w+|complex|crucial)\b/iu',
    $text,
);
echo json_encode([
    'detector' => 'Simulated detector', 'simulated' => true,
    'score' => round(1 / (1 + exp(-(250 * $phrases / $words - 3))), 3),
    'stated' => ['false_alarm_rate' => 0.08, 'miss_rate' => 0.31, 'measured_on' => 'nothing: these rates are invented'],
]);
