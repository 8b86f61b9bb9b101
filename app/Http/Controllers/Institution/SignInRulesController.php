<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Actions\Account\SetSignInRules;
use App\Http\Controllers\Controller;
use App\Http\Requests\Institution\SignInRulesRequest;
use App\Models\Institution;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * How people of the institution sign in, for administrators.
 */
final class SignInRulesController extends Controller
{
    public function show(): View
    {
        $this->authorize('administer', User::class);

        return view('institution.sign-in', ['rules' => Institution::settings()->sign_in]);
    }

    public function update(SignInRulesRequest $request, SetSignInRules $set): RedirectResponse
    {
        $set($request->rulesOfSignIn(), $request->person());

        return redirect()->route('institution.sign-in')->with('said', __('accounts.rules.said'));
    }
}
