<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/**
 * When a request arrived at the front: what came in time stays in time however long the queue behind the front is.
 *
 * The web server in front tells it, in seconds since 1970 with three decimals: as the parameter REQUEST_ARRIVED of
 * FastCGI, which no visitor can set, or as the header X-Request-Arrived, which is believed of a trusted proxy only.
 * Where nobody tells it, it is when PHP took the request up.
 */
final class Arrival
{
    public const HEADER = 'X-Request-Arrived';

    /** Seconds: no front keeps a request waiting longer, so an earlier time is a mistake and is not used. */
    private const LONGEST = 900;

    public static function of(Request $request): Carbon
    {
        $told = $request->server('REQUEST_ARRIVED')
            ?? ($request->isFromTrustedProxy() ? $request->header(self::HEADER) : null);
        $now = Carbon::now();
        $taken = $now->copy();
        if (is_numeric($request->server('REQUEST_TIME_FLOAT'))) {
            $taken = Carbon::createFromTimestamp((float) $request->server('REQUEST_TIME_FLOAT'), 'UTC');
        }
        if (is_string($told) && preg_match('/\A\d{9,11}(?:\.\d{1,6})?\z/', $told) === 1) {
            $front = Carbon::createFromTimestamp((float) $told, 'UTC');
            // Clocks of two machines differ a little: a time to come counts as now.
            if (
                $front->gte($now->copy()->subSeconds(self::LONGEST))
                && $front->lte($now->copy()->addSeconds(self::LONGEST))
            ) {
                return $front->lt($taken) ? $front : $taken;
            }
        }

        return $taken->lt($now) ? $taken : $now;
    }
}
