<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Keeping\HandOver;
use App\Http\Controllers\Controller;
use App\Http\Requests\Account\OwnPasswordRequest;
use App\Keeping\KeptKinds;
use App\Keeping\PersonalData;
use App\Models\Institution;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * What is kept of someone and why, and a copy of it to take away.
 */
final class KeptController extends Controller
{
    public function show(Request $request, PersonalData $data): View
    {
        return view('keeping.kept', [
            'groups' => KeptKinds::groups(), 'counts' => $data->counts($this->person($request)),
            'periods' => Institution::settings()->keeping,
            'others' => Module::query()->whereNotNull('keeping')->orderBy('code')
                ->whereIn('id', $this->person($request)->memberships->pluck('module_id'))->get()
                ->reject(fn (Module $module) => $module->keeping->isEmpty()),
        ]);
    }

    public function download(OwnPasswordRequest $request, HandOver $over): StreamedResponse
    {
        return $over($request->person(), $request->person());
    }
}
