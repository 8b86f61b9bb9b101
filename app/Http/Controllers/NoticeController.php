<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Notice;
use App\Notices\ReadNotices;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * What a person was told: the list of it, from a line to what it tells of, and all of it taken as read.
 */
final class NoticeController extends Controller
{
    public function index(Request $request): View
    {
        return view('notices', [
            'notices' => Notice::query()->where('user_id', $this->person($request)->id)->with('assignment.module')
                ->latest()->latest('id')->simplePaginate(40),
        ]);
    }

    public function show(Request $request, Notice $notice, ReadNotices $read): RedirectResponse
    {
        $this->authorize('read', $notice);
        $read($this->person($request), $notice);

        return redirect($notice->link);
    }

    public function update(Request $request, ReadNotices $read): RedirectResponse
    {
        $read($this->person($request), null);

        return back()->with('said', 'All taken as read.');
    }
}
