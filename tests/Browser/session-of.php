<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Support\Str;

/**
 * A session of someone who is signed in, as their browser would have it.
 *
 * @return array{cookie: string, token: string}
 */
function sessionOf(User $user): array
{
    // A store of its own for each, as each browser has.
    app('session')->forgetDrivers();
    $session = app('session')->driver();
    $session->setId(Str::random(40));
    $session->flush();
    $session->put('login_web_'.sha1(Illuminate\Auth\SessionGuard::class), $user->id);
    $session->put('_token', $token = Str::random(40));
    $session->save();
    $cookie = app('encrypter')->encrypt(
        CookieValuePrefix::create('young_harbor', app('encrypter')->getKey()).$session->getId(), false,
    );

    return ['cookie' => 'young_harbor='.rawurlencode($cookie), 'token' => $token];
}
