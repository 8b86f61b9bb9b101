<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Events\PersonRenamed;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\AddressChanged;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Another name, address or number of a person, for all modules. Both addresses hear of a new one.
 */
final class ChangeAccount
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  array<string, string|null>  $fields  name, given_name, family_name, email, number
     * @param  string|null  $seen  the digest of what was changed, where someone looked at it before
     * @return list<string> which of them changed
     *
     * @throws Refused when someone else changed it meanwhile
     */
    public function __invoke(User $person, array $fields, User $by, ?string $seen = null): array
    {
        return DB::transaction(function () use ($person, $fields, $by, $seen): array {
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            $seen === null || $seen === $stored->detailsDigest()
                || throw new Refused(__('accounts.person.changed_meanwhile', [
                    'name' => $stored->name, 'email' => $stored->email,
                    'number' => $stored->number ?? __('accounts.person.no_number'),
                ]));
            $before = $stored->email;
            $stored->fill(array_intersect_key($fields, array_flip(User::DETAILS)));
            $changed = array_values(array_intersect(User::DETAILS, array_keys($stored->getDirty())));
            if ($changed === []) {
                return [];
            }
            try {
                $stored->save();
            } catch (UniqueConstraintViolationException) { // someone else took it in the same moment
                throw new Refused(__('accounts.person.email_taken'), 'email');
            }
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
