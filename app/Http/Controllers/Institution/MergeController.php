<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Actions\Account\MergeAccounts;
use App\Http\Controllers\Controller;
use App\Http\Requests\Institution\MergeRequest;
use App\Institution\MergePreview;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * One person has come twice: what making one account of the two would do, and doing it.
 */
final class MergeController extends Controller
{
    public function show(Request $request, User $user, MergePreview $preview): View|RedirectResponse
    {
        $this->authorize('administer', User::class);
        $address = $request->query('with');
        $other = User::query()->where('email', User::addressKey(is_string($address) ? $address : ''))
            ->with('memberships.module')->first();
        if ($other === null) {
            return redirect()->route('institution.person', $user)->withInput($request->only('with'))
                ->withErrors(['with' => __('accounts.merge.nobody')]);
        }

        return view('institution.merge', [
            'user' => $user->load('memberships.module'), 'other' => $other,
            'outcome' => $preview->of($user, $other),
        ]);
    }

    public function store(MergeRequest $request, User $user, MergeAccounts $merge): RedirectResponse
    {
        $other = User::query()->where('public_id', $request->string('gone')->toString())->firstOrFail();
        $merge($user, $other, $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('institution.person', $user)
            ->with('said', __('accounts.merge.said', ['name' => $user->name]));
    }
}
