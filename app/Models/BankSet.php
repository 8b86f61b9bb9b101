<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\HasPublicId;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletingScope;

/**
 * A set of the comment bank: a module's, shared by its team, or a person's own.
 *
 * @property int $id
 * @property string $public_id
 * @property int|null $module_id
 * @property int $owner_id
 * @property string $title
 * @property-read Module|null $module
 * @property-read User $owner
 * @property-read Collection<int, BankComment> $comments
 */
final class BankSet extends Model
{
    use HasPublicId;

    protected $guarded = [];

    /**
     * @return BelongsTo<Module, $this>
     */
    public function module(): BelongsTo
    {
        return $this->belongsTo(Module::class);
    }

    /**
     * @return BelongsTo<User, $this>
     */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class, 'owner_id');
    }

    /**
     * What was deleted and can be brought back.
     *
     * @return HasMany<BankComment, $this>
     */
    public function deletedComments(): HasMany
    {
        $comments = $this->hasMany(BankComment::class);
        $comments->withoutGlobalScope(SoftDeletingScope::class)
            ->where('deleted_at', '>=', now()->subDays(BankComment::KEPT_DAYS))->latest('deleted_at');

        return $comments;
    }

    /**
     * @return HasMany<BankComment, $this>
     */
    public function comments(): HasMany
    {
        return $this->hasMany(BankComment::class);
    }

    /**
     * What someone has at hand: their own sets, and those of modules they teach in.
     *
     * @return Builder<self>
     */
    public static function of(User $person, ?int $moduleId = null): Builder
    {
        $modules = $moduleId !== null
            ? [$moduleId]
            : $person->memberships->filter(
                fn (Membership $member) => $member->left_at === null
                && in_array($member->role->value, ['coordinator', 'tutor'], true)
            )->pluck('module_id')->all();

        return self::query()->where(
            fn (Builder $query) => $query->where(
                fn (Builder $own) => $own->whereNull('module_id')->where('owner_id', $person->id)
            )->orWhereIn('module_id', $modules)
        );
    }
}
