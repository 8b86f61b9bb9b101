<?php

declare(strict_types=1);

/*
 * For tests in a browser: whose desk shows the pages of one of the demo's PDFs, with a mark that is not done.
 */

use App\Actions\Mark\StoreStandings;
use App\Models\Mark;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$authors = User::query()->whereIn('email', ['olafur.brandsson@merrow.example', 'siobhan.darcy-quill@merrow.example']);
$mark = Mark::counting()->with('marker')
    ->whereHas('script', fn ($script) => $script->whereIn('student_id', $authors->select('id'))
        ->whereRelation('assignment', 'title', 'Essay: A living from the edge')->whereDoesntHave('result'))
    ->orderByRaw('done_at IS NOT NULL')->orderBy('id')->firstOrFail();
if ($mark->isDone()) {
    // Which scripts are finished, and which are agreed, is drawn anew with each demo.
    $mark->script->settlement?->undo($mark->marker, 'Opened for a test.');
    $mark->update(['done_at' => null, 'total' => null]);
    app(StoreStandings::class)([$mark->script_id]);
}
echo json_encode(
    ['who' => strtok((string) $mark->marker->email, '@'), 'mark' => $mark->public_id], JSON_THROW_ON_ERROR,
);
