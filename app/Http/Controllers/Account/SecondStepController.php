<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Account\SecondStep;
use App\Actions\Account\MakeRecoveryCodes;
use App\Actions\Account\SetSecondStep;
use App\Actions\Account\TakeSecondStepOff;
use App\Http\Controllers\Controller;
use App\Http\Requests\Account\OwnPasswordRequest;
use App\Http\Requests\Account\SetSecondStepRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Accounts\Base32;
use YoungHarbor\Core\Accounts\TimeCode;

/**
 * A person's own second step: setting it with a phone, codes for the day the phone is lost, another phone, none.
 */
final class SecondStepController extends Controller
{
    private const KEY = 'new-second-step';

    public function show(Request $request): View
    {
        $person = $this->person($request);
        // The same until it is set: the phone may have read it already when a wrong password brings the page back.
        $secret = Base32::decode((string) $request->session()->get(self::KEY)) ?: random_bytes(TimeCode::SECRET_BYTES);
        $request->session()->put(self::KEY, Base32::encode($secret));

        return view('account.second-step', [
            'person' => $person, 'asked' => SecondStep::isAskedOf($person),
            'left' => $person->recoveryCodes()->whereNull('used_at')->count(),
            'letters' => trim(chunk_split(Base32::encode($secret), 4, ' ')),
            'address' => TimeCode::address($secret, (string) config('harbor.institution'), $person->email),
        ]);
    }

    public function store(SetSecondStepRequest $request, SetSecondStep $set): RedirectResponse
    {
        $secret = Base32::decode((string) $request->session()->get(self::KEY)) ?? '';
        if ($secret === '') {
            return redirect()->route('second-step')->withErrors(['code' => __('accounts.second.begin_again_new')]);
        }
        $codes = $set(
            $request->person(), $secret, $request->string('code')->toString(), $request->session()->getId(),
        );
        $request->session()->forget(self::KEY);

        return redirect()->route('second-step')->with('codes', $codes);
    }

    public function codes(OwnPasswordRequest $request, MakeRecoveryCodes $make): RedirectResponse
    {
        abort_unless($request->person()->hasSecondStep(), 404);

        return redirect()->route('second-step')->with('codes', $make($request->person()));
    }

    public function destroy(OwnPasswordRequest $request, TakeSecondStepOff $take): RedirectResponse
    {
        $take($request->person(), $request->person());

        return redirect()->route('account')->with('said', __('accounts.second.gone'));
    }
}
