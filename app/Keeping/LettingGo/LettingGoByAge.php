<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use Illuminate\Support\Carbon;

/**
 * How what the institution keeps of one kind goes by its age, in a transaction of its caller's.
 */
interface LettingGoByAge
{
    /** How much of it is older. */
    public function count(Carbon $before): int;

    public function __invoke(Carbon $before): Gone;
}
