<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Http\Controllers\Controller;
use App\Logbook\Logbook;
use App\Logbook\Reading;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * The logbook of a module, newest first.
 */
final class LogbookController extends Controller
{
    public function __invoke(Request $request, Module $module, Logbook $logbook): View
    {
        $this->authorize('viewLogbook', $module);

        $lines = LogbookLine::query()->where('module', $module->public_id)->with('words')->orderByDesc('number')
            ->simplePaginate(60);

        return view(
            'release.logbook',
            [
                'module' => $module, 'lines' => $lines, 'reading' => Reading::of($lines->items()),
                'key' => $logbook->publicKey(),
                // Where they mark themselves and are not done, they learn no other mark here either.
                'blind' => $module->assignments()->get()
                    ->filter(fn (Assignment $one) => $this->person($request)->cannot('viewAllMarks', $one))
                    ->map(fn (Assignment $one) => $one->public_id)->all(),
            ],
        );
    }
}
