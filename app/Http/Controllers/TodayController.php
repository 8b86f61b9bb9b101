<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Enums\NoticeKind;
use App\Models\Notice;
use App\Queries\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * The first page: what needs the person who is signed in, by assignment, most urgent first.
 */
final class TodayController extends Controller
{
    private const NEWS = 8;

    public function __invoke(Request $request, Today $today): View
    {
        $person = $this->person($request)->load('memberships.module');

        return view('today', [
            'items' => $today->of($person), 'person' => $person,
            // A result stands among what waits for its student until it is opened, a review for its coordinator.
            'news' => Notice::query()->where('user_id', $person->id)->whereNull('read_at')
                ->whereNotIn('kind', [NoticeKind::Result, NoticeKind::ReviewAsked])->with('assignment.module')
                ->latest()->latest('id')->limit(self::NEWS)->get(),
        ]);
    }
}
