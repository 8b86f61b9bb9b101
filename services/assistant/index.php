<?php

declare(strict_types=1);

/*
 * A simulated outside writing assistant, for the demo and for tests. It counts: terms of the brief that do not stand in
 * a draft, very long sentences, quotations without a place (core/FirstFeedback/StandIn.php). Nothing leaves the
 * machine, and nothing is kept.
 *     php -S 127.0.0.1:PORT services/assistant/index.php
 *
 *     POST /remarks  {"text":"…","language":"en","brief":"…","limit":900,"criteria":[{"id":"c1","title":"…","levels":["…"]}]}
 *                    {"assistant":"…","simulated":true,"remarks":[{"criterion":null,"quote":"…","text":"…","sure":"high"}],
 *                     "cannot_see":"…"}
 *                    422 {"error":"language"} for a text in another language than English
 *     GET /behave?as=MODE   well, slow (&seconds=30), down, nonsense, page or mark, from now on, to see what a client
 *                           makes of it
 */

use YoungHarbor\Core\FirstFeedback\Remark;
use YoungHarbor\Core\FirstFeedback\StandIn;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/../simulated.php';

$behaves = behaviour('assistant', ['well', 'slow', 'down', 'nonsense', 'page', 'mark']);
if ($behaves === null) {
    return;
}
$path = (string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH);
header('Content-Type: application/json');
if ($behaves === 'nonsense') {
    echo '{"remarks":"very good"}';

    return;
}
$asked = json_decode((string) file_get_contents('php://input'), true);
$text = is_array($asked) && is_string($asked['text'] ?? null) ? $asked['text'] : '';
if ($path !== '/remarks' || trim($text) === '') {
    http_response_code($path === '/remarks' ? 422 : 404);
    echo json_encode(['error' => $path === '/remarks' ? 'text' : 'path']);

    return;
}
if (! StandIn::isEnglish($text)) {
    http_response_code(422);
    echo json_encode(['error' => 'language']);

    return;
}
$criteria = [];
foreach (is_array($asked['criteria'] ?? null) ? $asked['criteria'] : [] as $one) {
    if (is_array($one) && is_string($one['id'] ?? null)) {
        $criteria[] = [
            'id' => $one['id'], 'title' => (string) ($one['title'] ?? ''),
            'levels' => array_values(array_filter((array) ($one['levels'] ?? []), is_string(...))),
        ];
    }
}
$remarks = array_map(fn (Remark $one) => $one->toArray(), StandIn::of(
    $text, is_string($asked['brief'] ?? null) ? $asked['brief'] : '', is_int($asked['limit'] ?? null) ? $asked['limit'] : null,
    $criteria,
));
echo json_encode([
    'assistant' => 'Simulated writing assistant', 'simulated' => true, 'remarks' => $remarks,
    'cannot_see' => 'It counts words and places. It does not understand what you argue, cannot tell whether it is true, and has not read your sources.',
    ...($behaves === 'mark' ? ['mark' => 62] : []),
]);
