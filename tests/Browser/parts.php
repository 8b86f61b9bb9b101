<?php

declare(strict_types=1);

/*
 * For the test of parts in groups: an assignment of HT120 for which three students form a group that has handed in.
 * Prints its address.
 */

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\SetGroups;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Enums\HandInBy;
use App\Models\Handin;
use App\Models\Module;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));

$module = Module::query()->where('code', 'HT120')->sole();
$person = fn (string $who): User => User::query()->where('email', "{$who}@merrow.example")->sole();
Auth::setUser($person('maren.oduya'));
$walk = app(SaveAssignment::class)($module, null, [
    'title' => 'Along the slip', 'brief' => 'Walk down the slip together.', 'due_at' => now()->addDays(5),
    'closes_at' => now()->addDays(5), 'bands' => config('harbor.bands.classes'), 'handin_by' => HandInBy::GroupOneMark,
    'rubric_version_id' => $module->assignments()->firstOrFail()->rubric_version_id,
], null);
app(OpenAssignment::class)($walk);
$members = array_map($person, ['amaru.quispe-hale', 'bryn.ellacott', 'ceren.yildiz']);
app(SetGroups::class)($walk->refresh(), array_fill_keys(array_column($members, 'id'), 'Group 1'), 'list');
Auth::setUser($members[0]);
app(TakeHandIn::class)($walk, $members[0], str_repeat('The slip has forty steps, and the sea has twelve of them. ', 8));
app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
echo $walk->public_id;
