<?php

declare(strict_types=1);

/*
 * For the test of a module's last weeks.
 *   closing.php wide     gives HT105 34 assignments more, so that its grade book has 40 columns of them
 *   closing.php narrow   takes them away again
 */

use App\Models\Assignment;
use App\Models\Module;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));

$module = Module::query()->where('code', 'HT105')->sole();
$more = $module->assignments()->whereLike('title', 'Column %');
if ($argv[1] === 'wide') {
    $one = $module->assignments()->orderBy('id')->firstOrFail();
    for ($n = 1; $n <= 34; $n++) {
        $one->replicate(['public_id'])->fill(['title' => "Column {$n}"])->save();
    }
} else {
    $more->get()->each(fn (Assignment $one) => $one->delete());
}
echo $more->count();
