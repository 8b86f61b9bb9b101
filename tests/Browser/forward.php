<?php

declare(strict_types=1);

// Whether the demo's logbook, as it was made, runs forward in time: exits 1 with the first line that does not.

use App\Models\LogbookLine;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$last = null;
foreach (LogbookLine::query()->orderBy('number')->lazy(500) as $line) {
    if ($last !== null && $line->when()->lt($last->when())) {
        fwrite(
            STDERR,
            "Line {$line->number}, {$line->event->value}, {$line->when()}, stands after line {$last->number}, {$last->event->value}, {$last->when()}.\n",
        );
        exit(1);
    }
    $last = $line;
}
