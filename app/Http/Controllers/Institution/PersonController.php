<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Account\SecondStep;
use App\Actions\Account\ChangeAccount;
use App\Actions\Account\CloseAccount;
use App\Actions\Account\EndSessions;
use App\Actions\Account\NameAdministrator;
use App\Actions\Account\SendPasswordLink;
use App\Actions\Account\TakeSecondStepOff;
use App\Actions\Keeping\HandOver;
use App\Http\Controllers\Controller;
use App\Http\Requests\Institution\AccountRequest;
use App\Http\Requests\Institution\AdministerRequest;
use App\Http\Requests\Institution\ReasonRequest;
use App\Logbook\Reading;
use App\Models\Erasure;
use App\Models\LogbookLine;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * One person's account, for administrators: name and address, how they sign in, where they are, closing it.
 */
final class PersonController extends Controller
{
    private const LINES = 50;

    public function show(User $user): View
    {
        $this->authorize('administer', User::class);
        $lines = LogbookLine::query()->whereLike('event', 'account.%')
            ->where(fn ($query) => $query->where('actor', $user->public_id)->whereNull('subject')
                ->orWhere(fn ($query) => $query->where('subject_kind', 'person')->where('subject', $user->public_id)))
            ->with('words')->orderByDesc('number')->limit(self::LINES)->get();

        return view('institution.person', [
            'user' => $user->load('memberships.module', 'mergedInto'), 'lines' => $lines, 'reading' => Reading::of($lines),
            'asked' => SecondStep::isAskedOf($user),
            'erasure' => Erasure::query()->where('user_id', $user->id)->with('by:id,name')->first(),
            'places' => DB::table('sessions')->where('user_id', $user->id)
                ->where('last_activity', '>', now()->subMinutes((int) config('session.lifetime'))->getTimestamp())->count(),
        ]);
    }

    public function update(AccountRequest $request, User $user, ChangeAccount $change): RedirectResponse
    {
        $changed = $change($user, $request->fields(), $request->person(), $request->validated('seen'));

        return $this->said($user, $changed === [] ? __('accounts.person.unchanged') : __('accounts.person.saved'));
    }

    public function link(AdministerRequest $request, User $user, SendPasswordLink $send): RedirectResponse
    {
        abort_if($user->closed_at !== null, 404);
        $send($user->email);

        return $this->said($user, __('accounts.person.link_said', ['email' => $user->email]));
    }

    public function secondStep(ReasonRequest $request, User $user, TakeSecondStepOff $take): RedirectResponse
    {
        abort_unless($user->hasSecondStep(), 404);
        $take($user, $request->person(), $request->reason());

        return $this->said($user, __('accounts.person.second_said', ['name' => $user->name]));
    }

    public function places(AdministerRequest $request, User $user, EndSessions $end): RedirectResponse
    {
        $ended = $end($user, $request->person(), null, $request->session()->getId());

        return $this->said($user, trans_choice('accounts.places.ended', $ended));
    }

    public function closed(ReasonRequest $request, User $user, CloseAccount $close): RedirectResponse
    {
        $close($user, $request->boolean('close'), $request->reason(), $request->person());

        return $this->said($user, __($request->boolean('close') ? 'accounts.closed.said' : 'accounts.closed.open_said'));
    }

    public function data(ReasonRequest $request, User $user, HandOver $over): StreamedResponse
    {
        return $over($user, $request->person(), $request->reason());
    }

    public function administrator(AdministerRequest $request, User $user, NameAdministrator $name): RedirectResponse
    {
        $name($user, $request->boolean('is'), $request->person());

        return $request->boolean('is') || ! $request->person()->is($user)
            ? $this->said($user, __('accounts.person.saved'))
            : redirect()->route('today')->with('said', __('accounts.person.saved'));
    }

    private function said(User $user, string $what): RedirectResponse
    {
        return redirect()->route('institution.person', $user)->with('said', $what);
    }
}
