<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;
use RuntimeException;

abstract class Controller
{
    use AuthorizesRequests;

    /** The person who is signed in; routes that call this are behind the sign-in. */
    protected function person(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new RuntimeException('Nobody is signed in.');
    }
}
