<?php

declare(strict_types=1);

/*
 * Someone hands in between two backups: php tests/Rehearsal/hand-in.php prints the attempt's random id.
 */

use App\Actions\Collect\TakeHandIn;
use App\Enums\WorkForm;
use App\Models\Script;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();
config(['queue.default' => 'null', 'mail.default' => 'array']);
$script = Script::query()->whereNull('current_handin_id')->whereNull('group_name')
    ->whereHas('assignment', fn ($query) => $query->where('due_at', '>', now())->where('form', WorkForm::Handin))
    ->with('assignment', 'student')->orderBy('id')->firstOrFail();
$handin = app(TakeHandIn::class)(
    $script->assignment, $script->student, 'What the salt was worth, written between two backups.',
    array_fill(0, 9, 'None.'),
);
echo $handin->public_id, "\n";
