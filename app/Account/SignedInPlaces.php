<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Where someone is signed in: the sessions of a person, which end when they are taken away. A session's own id never
 * leaves the server; it is named by a hash of it.
 */
final class SignedInPlaces
{
    /**
     * @param  string  $here  the session that asks
     * @return list<array{name: string, browser: string, address: string, at: Carbon, here: bool}> the latest first
     */
    public function of(User $person, string $here): array
    {
        return array_values(DB::table('sessions')->where('user_id', $person->id)
            ->where('last_activity', '>', now()->subMinutes((int) config('session.lifetime'))->getTimestamp())
            ->orderByDesc('last_activity')->get()
            ->map(fn (object $one) => [
                'name' => self::name($one->id), 'browser' => self::browser((string) $one->user_agent),
                'address' => (string) $one->ip_address, 'at' => Carbon::createFromTimestamp($one->last_activity),
                'here' => $one->id === $here,
            ])->all());
    }

    /** Ends the session of that name; false when there is none any more. */
    public function end(User $person, string $name): bool
    {
        foreach (DB::table('sessions')->where('user_id', $person->id)->pluck('id') as $id) {
            if (hash_equals(self::name((string) $id), $name)) {
                return DB::table('sessions')->where('id', $id)->delete() > 0;
            }
        }

        return false;
    }

    /**
     * Ends all of a person's sessions but one. Whoever chose to stay signed in has to sign in anew too.
     *
     * @return int how many
     */
    public function endAll(User $person, string $but = ''): int
    {
        $person->forceFill(['remember_token' => Str::random(60)])->save();

        return DB::table('sessions')->where('user_id', $person->id)->where('id', '<>', $but)->delete();
    }

    private static function name(string $id): string
    {
        return substr(hash('sha256', "place:{$id}"), 0, 24);
    }

    /** What a browser says of itself, in words; it can say anything. */
    private static function browser(string $agent): string
    {
        $first = function (array $words) use ($agent): ?string {
            foreach ($words as $sign => $word) {
                if (str_contains($agent, (string) $sign)) {
                    return $word;
                }
            }

            return null;
        };
        $browser = $first(
            ['Edg' => 'Edge', 'OPR/' => 'Opera', 'Firefox/' => 'Firefox', 'FxiOS' => 'Firefox', 'CriOS' => 'Chrome',
                'Chrome/' => 'Chrome', 'Safari/' => 'Safari'],
        );
        $system = $first(
            ['iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows',
                'CrOS' => 'ChromeOS', 'Mac OS X' => 'macOS', 'Linux' => 'Linux'],
        );

        return match (true) {
            $browser !== null && $system !== null => __('accounts.places.browser', ['browser' => $browser, 'system' => $system]),
            default => $browser ?? $system ?? __('accounts.places.unknown'),
        };
    }
}
