<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Auth\Access\Gate;
use Illuminate\Foundation\Http\FormRequest;
use LogicException;

/**
 * A form that is read only once its sender is known to be allowed to send it: who may not learns nothing of what was
 * wrong with it.
 */
abstract class GuardedRequest extends FormRequest
{
    /**
     * What the sender must be able to do, and to what, as for `Gate::authorize`; nothing when signing in is enough.
     *
     * @return list<mixed>
     */
    protected function guard(): array
    {
        return [];
    }

    public function authorize(Gate $gate): Response
    {
        $guard = $this->guard();
        $ability = array_shift($guard);

        return is_string($ability) ? $gate->inspect($ability, $guard) : Response::allow();
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T what the address names
     */
    protected function bound(string $name, string $class): object
    {
        $bound = $this->route($name);

        return $bound instanceof $class ? $bound : throw new LogicException("The route binds no {$name}.");
    }

    public function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new LogicException('Nobody is signed in.');
    }
}
