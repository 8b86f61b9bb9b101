<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Http\Controllers\Controller;
use App\Models\LogbookLine;
use App\Models\Module;
use Illuminate\Contracts\View\View;

/**
 * The logbook of a module, newest first.
 */
final class LogbookController extends Controller
{
    public function __invoke(Module $module): View
    {
        $this->authorize('viewLogbook', $module);

        return view('release.logbook', [
            'module' => $module,
            'lines' => LogbookLine::query()->where('module_id', $module->id)->with('actor:id,name')->orderByDesc('number')->simplePaginate(60),
        ]);
    }
}
