<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Queries\Find;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * Finds modules, assignments, rubrics, people and script codes by a few letters.
 */
final class FindController extends Controller
{
    public function __invoke(Request $request, Find $find): View
    {
        $words = is_string($words = $request->query('q')) ? mb_substr(trim($words), 0, 100) : '';

        return view('find', ['words' => $words, 'found' => $find->of($this->person($request), $words)]);
    }
}
