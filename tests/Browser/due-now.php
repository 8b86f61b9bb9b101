<?php

declare(strict_types=1);

/*
 * For tests in a browser: lets the due time of an assignment pass now.   php tests/Browser/due-now.php TITLE
 */

use App\Models\Assignment;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$assignment = Assignment::query()->where('title', $argv[1])->sole();
$assignment->forceFill(['due_at' => now()->subSecond()])->save();
$assignment->scripts()->update(['due_at' => now()->subSecond()]);
