<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Http\Controllers\Controller;
use App\Logbook\Logbook;
use App\Logbook\Reading;
use App\Models\LogbookLine;
use App\Models\Module;
use Illuminate\Contracts\View\View;

/**
 * The logbook of a module, newest first.
 */
final class LogbookController extends Controller
{
    public function __invoke(Module $module, Logbook $logbook): View
    {
        $this->authorize('viewLogbook', $module);

        $lines = LogbookLine::query()->where('module', $module->public_id)->with('words')->orderByDesc('number')
            ->simplePaginate(60);

        return view(
            'release.logbook',
            [
                'module' => $module, 'lines' => $lines, 'reading' => Reading::of($lines->items()),
                'key' => $logbook->publicKey(),
            ],
        );
    }
}
