<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Events\PersonRenamed;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\AddressChanged;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Another name, address or number of a person, for all modules. Both addresses hear of a new one.
 */
final class ChangeAccount
{
    private const FIELDS = ['name', 'given_name', 'family_name', 'email', 'number'];

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  array<string, string|null>  $fields  name, given_name, family_name, email, number
     * @return list<string> which of them changed
     */
    public function __invoke(User $person, array $fields, User $by): array
    {
        return DB::transaction(function () use ($person, $fields, $by): array {
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            $before = $stored->email;
            $stored->fill(array_intersect_key($fields, array_flip(self::FIELDS)));
            $changed = array_values(array_intersect(self::FIELDS, array_keys($stored->getDirty())));
            if ($changed === []) {
                return [];
            }
            $stored->save();
            array_intersect(['name', 'number', 'email'], $changed) === [] || PersonRenamed::dispatch($stored->id);
            $this->logbook->write(Entry::of(LogEvent::AccountChanged)->on($stored)->with(changed: $changed)->by($by));
            if (in_array('email', $changed, true)) {
                // Links on their way to the old address hold no more.
                DB::table('password_reset_tokens')->where('email', $before)->delete();
                SignInLink::query()->where('user_id', $stored->id)->delete();
                foreach ([$before, $stored->email] as $address) {
                    Mail::to($address)->queue((new AddressChanged($stored, $before, $stored->email))->afterCommit());
                }
            }

            return $changed;
        });
    }
}
