<?php

declare(strict_types=1);

/*
 * An assignment whose first marks wait to be checked. Prints the marks that check them, with who has them.
 */

use App\Models\Mark;
use YoungHarbor\Core\Marking\Seat;

require __DIR__.'/marked.php';

$assignment = marked(
    'Checked: a letter from the saltings', ['view' => 'check'], ['bo.li', 'kaimana.keawe'],
    ['tomasz.wisniewski', 'aoife.nibhriain'], ['first' => 0.5],
);
echo json_encode(
    Mark::counting()->where('assignment_id', $assignment->id)->where('seat', Seat::Second)->with('marker', 'script')->get()
        ->map(fn (Mark $mark) => [
            'who' => strtok($mark->marker->email, '@'), 'desk' => "/desk/{$mark->public_id}",
            'code' => $mark->script->code, 'settle' => "/settle/{$mark->script->public_id}",
        ]),
    JSON_THROW_ON_ERROR,
);
