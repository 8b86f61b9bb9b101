<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Http\Controllers\Controller;
use App\Models\User;
use App\Queries\PeopleOfInstitution;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * Everyone with an account, over all modules: for administrators.
 */
final class PeopleController extends Controller
{
    public function __invoke(Request $request): View
    {
        $this->authorize('administer', User::class);
        $people = PeopleOfInstitution::from($request);

        return view('institution.people', ['people' => $people, 'page' => $people->page(), 'counts' => $people->counts()]);
    }
}
