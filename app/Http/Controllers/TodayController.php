<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Queries\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * The first page: what needs the person who is signed in, by assignment, most urgent first.
 */
final class TodayController extends Controller
{
    public function __invoke(Request $request, Today $today): View
    {
        $person = $this->person($request)->load('memberships.module');

        return view('today', ['items' => $today->of($person), 'person' => $person]);
    }
}
