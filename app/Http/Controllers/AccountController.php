<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\SignedInPlaces;
use App\Actions\Account\ChangePassword;
use App\Actions\Account\ChooseMail;
use App\Actions\Account\ChooseTheme;
use App\Http\Requests\MailRequest;
use App\Http\Requests\PasswordRequest;
use App\Http\Requests\ThemeRequest;
use App\Logbook\LogEvent;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * A person's own settings: how pages look, which mails come, how they sign in and where they are signed in.
 */
final class AccountController extends Controller
{
    public function edit(Request $request, SignedInPlaces $places): View
    {
        $person = $this->person($request);

        return view('account', [
            'person' => $person, 'places' => $places->of($person, $request->session()->getId()),
            'codes' => $person->hasSecondStep() ? $person->recoveryCodes()->whereNull('used_at')->count() : 0,
        ]);
    }

    public function theme(ThemeRequest $request, ChooseTheme $choose): RedirectResponse
    {
        $choose($request->person(), $request->validated('theme'));

        return back()->with('said', 'Saved.');
    }

    public function mail(MailRequest $request, ChooseMail $choose): RedirectResponse
    {
        $choose($request->person(), $request->boolean('daily_mail'), $request->boolean('no_reminders'));

        return back()->with('said', 'Saved.');
    }

    public function password(PasswordRequest $request, ChangePassword $change): RedirectResponse
    {
        $person = $this->person($request);
        $fields = $request->validated();
        $change($person, $fields['password'], LogEvent::PasswordChanged, $request->session()->getId());
        $request->session()->regenerate();

        return back()->with('said', 'Your password is changed. Wherever else you were signed in, you no longer are.');
    }
}
