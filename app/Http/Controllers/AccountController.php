<?php

declare(strict_types=1);

namespace App\Http\Controllers;

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
 * A person's own settings: how pages look, which mails come, and the password.
 */
final class AccountController extends Controller
{
    public function edit(Request $request): View
    {
        return view('account', ['person' => $this->person($request)]);
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
        $change($person, $fields['password'], LogEvent::PasswordChanged);
        $request->session()->regenerate();

        return back()->with('said', 'Your password is changed. Wherever else you were signed in, you no longer are.');
    }
}
