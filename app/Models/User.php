<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Role;
use App\Models\Concerns\HasPublicId;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Carbon;

/**
 * A person with an account. What they may do depends on their membership in a module.
 *
 * @property int $id
 * @property string $public_id
 * @property string $name
 * @property string $email
 * @property string|null $number
 * @property string|null $given_name
 * @property string|null $family_name
 * @property list<array{name: string, number: string|null, email: string}>|null $former_names what named them before
 * @property string|null $roster_id what the registry calls the person
 * @property string|null $password null until one is chosen
 * @property bool $is_admin
 * @property string $theme
 * @property array<string, mixed>|null $desk keys and layout of the desk
 * @property bool $daily_mail one mail a day in place of one each
 * @property bool $no_reminders
 * @property Carbon|null $joined_at
 * @property string|null $second_secret bytes that a phone makes codes of
 * @property Carbon|null $second_since when the first code from it was right
 * @property int|null $second_step whose code was taken last
 * @property Carbon|null $signed_in_at the last time
 * @property Carbon|null $closed_at
 * @property string|null $hold_reason why nothing of this person is erased for now
 * @property Carbon|null $erased_at
 * @property int|null $merged_into_id the account that took up what this one had
 * @property-read Collection<int, RecoveryCode> $recoveryCodes
 * @property-read User|null $mergedInto
 * @property-read Collection<int, Membership> $memberships
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use HasPublicId;
    use Notifiable;

    /** What stands in place of a password until one is chosen. */
    public const NO_PASSWORD = null;

    /** What an account says of its person. */
    public const DETAILS = ['name', 'given_name', 'family_name', 'email', 'number'];

    /** Names that are kept, the last of them. */
    private const FORMER = 20;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'second_secret'];

    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'is_admin' => 'boolean', 'joined_at' => 'datetime', 'desk' => 'array',
            'daily_mail' => 'boolean', 'no_reminders' => 'boolean', 'second_secret' => 'encrypted',
            'second_since' => 'datetime', 'second_step' => 'integer', 'signed_in_at' => 'datetime',
            'closed_at' => 'datetime', 'erased_at' => 'datetime', 'former_names' => 'array',
        ];
    }

    /** What named someone stays hidden in their work, whatever they are called now. */
    protected static function booted(): void
    {
        self::updating(function (self $user): void {
            $isRenamed = $user->isDirty(['name', 'number', 'email']);
            if ($isRenamed && $user->erased_at === null && ! $user->isDirty('former_names')) {
                $user->rememberNaming([
                    'name' => (string) $user->getOriginal('name'), 'number' => $user->getOriginal('number'),
                    'email' => (string) $user->getOriginal('email'),
                ]);
            }
        });
    }

    /**
     * @param  array{name: string, number: string|null, email: string}  ...$namings
     */
    public function rememberNaming(array ...$namings): void
    {
        $all = collect([...($this->former_names ?? []), ...array_values($namings)])->unique()->values();
        $this->former_names = array_values($all->slice(-self::FORMER)->all());
    }

    /**
     * All that names this person, now and before.
     *
     * @return non-empty-list<array{name: string, number: string|null, email: string}>
     */
    public function namings(): array
    {
        return [
            ['name' => $this->name, 'number' => $this->number, 'email' => $this->email], ...($this->former_names ?? []),
        ];
    }

    /** An e-mail address as accounts are known by it: one spelling each. */
    public static function addressKey(string $address): string
    {
        $composed = \Normalizer::normalize(trim($address), \Normalizer::FORM_C);

        return mb_strtolower(is_string($composed) ? $composed : trim($address));
    }

    /**
     * @return Attribute<string, string>
     */
    protected function email(): Attribute
    {
        return Attribute::make(set: fn (string $address) => self::addressKey($address));
    }

    /**
     * @return HasMany<Membership, $this>
     */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /**
     * @return HasMany<RecoveryCode, $this>
     */
    public function recoveryCodes(): HasMany
    {
        return $this->hasMany(RecoveryCode::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function mergedInto(): BelongsTo
    {
        return $this->belongsTo(self::class, 'merged_into_id');
    }

    /** Whether a code from a phone is asked for besides the password. */
    public function hasSecondStep(): bool
    {
        return $this->second_since !== null;
    }

    /** What tells whether name, address or number were changed since a page showed them. */
    public function detailsDigest(): string
    {
        return hash('sha256', (string) json_encode($this->only(self::DETAILS), JSON_THROW_ON_ERROR));
    }

    /** The person's role in a module; null for someone who is not in it, or has left it. */
    public function roleIn(int $moduleId): ?Role
    {
        return $this->memberships->first(
            fn (Membership $membership) => $membership->module_id === $moduleId && $membership->left_at === null
        )?->role;
    }

    public function coordinates(int $moduleId): bool
    {
        return $this->roleIn($moduleId) === Role::Coordinator;
    }

    public function coordinatesAny(): bool
    {
        return $this->memberships->contains(
            fn (Membership $membership) => $membership->role === Role::Coordinator && $membership->left_at === null
        );
    }

    /**
     * Modules in whose team this person is.
     *
     * @return Collection<int, Module>
     */
    public function teamModules(): Collection
    {
        return Module::query()->whereKey(
            $this->memberships->filter(
                fn (Membership $member) => $member->left_at === null
                    && in_array($member->role, [Role::Coordinator, Role::Tutor], true)
            )->pluck('module_id')
        )->get();
    }
}
