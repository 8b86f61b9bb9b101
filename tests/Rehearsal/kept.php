<?php

declare(strict_types=1);

/*
 * Whether a hand-in is there if one is named, every receipt holds, and each file is the one its receipt was given for,
 * in the database and folder the environment names: php tests/Rehearsal/kept.php [ATTEMPT]
 */

use App\Documents\Receipts;
use App\Models\Handin;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Storage;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();
$receipts = app(Receipts::class);
$faults = ! isset($argv[1]) || Handin::query()->where('public_id', $argv[1])->exists() ? [] : ['the hand-in made last is not there'];
$read = 0;
foreach (Handin::query()->whereHas('files', fn ($query) => $query->whereNotNull('path'))->with('files')->lazyById() as $handin) {
    $receipts->holds($receipts->of($handin), $handin->seal) || $faults[] = "the receipt of {$handin->public_id} does not hold";
    foreach ($handin->files->whereNotNull('path') as $file) {
        $read++;
        Storage::exists($file->path) && hash('sha256', (string) Storage::get($file->path)) === $file->sha256
            || $faults[] = "a file of {$handin->public_id} is not the one it was";
    }
}
echo "{$read} files and their receipts hold\n", implode("\n", $faults);
exit($faults === [] && $read > 20 ? 0 : 1);
