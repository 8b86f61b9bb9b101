<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Enums\Role;
use App\Enums\RubricScope;
use App\Enums\RubricState;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\User;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Eloquent\Builder;

/**
 * The library of rubrics: what a person finds in it, and where they may put one.
 */
final class RubricLibrary
{
    public const KINDS = [
        'levels' => 'levels', 'holistic' => 'one scale for the whole', 'scale' => 'a scale of numbers',
        'checklist' => 'a checklist', 'comment' => 'comment only',
    ];

    private const A_PAGE = 40;

    /**
     * @param  array{q?: string|null, kind?: string|null, least?: int|null, most?: int|null, shelf?: string|null, state?: string|null}  $wanted
     * @return LengthAwarePaginator<int, Rubric>
     */
    public function find(User $user, array $wanted): LengthAwarePaginator
    {
        $query = self::readable($user)->with(['module', 'latestVersion', 'owner:id,name']);
        foreach (preg_split('/\s+/u', trim((string) ($wanted['q'] ?? '')), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $query->where('words', 'like', '%'.addcslashes($word, '\\%_').'%');
        }
        if (isset(self::KINDS[$wanted['kind'] ?? ''])) {
            $query->where('kinds', 'like', '%'.$wanted['kind'].'%');
        }
        $query->when($wanted['least'] ?? null, fn (Builder $q, int $n) => $q->where('criteria', '>=', $n))
            ->when($wanted['most'] ?? null, fn (Builder $q, int $n) => $q->where('criteria', '<=', $n));
        $state = RubricState::tryFrom((string) ($wanted['state'] ?? ''));
        $state === null ? $query->where('state', '<>', RubricState::Retired) : $query->where('state', $state);
        match ($wanted['shelf'] ?? '') {
            '' => null,
            'own' => $query->where('scope', RubricScope::Person),
            'institution' => $query->where('scope', RubricScope::Institution),
            default => $query->whereHas('module', fn (Builder $q) => $q->where('public_id', $wanted['shelf'])),
        };

        return $query->orderByRaw("FIELD(scope, 'module', 'person', 'institution')")->orderBy('title')
            ->paginate(self::A_PAGE)->withQueryString();
    }

    /**
     * Rubrics a person may read: those of modules where they are staff, their own, and the institution's.
     *
     * @return Builder<Rubric>
     */
    public static function readable(User $user): Builder
    {
        $modules = $user->memberships
            ->filter(fn (Membership $m) => $m->role !== Role::Student && $m->left_at === null)->pluck('module_id');

        return Rubric::query()->where(fn (Builder $any) => $any->whereIn('module_id', $modules)
            ->orWhere(fn (Builder $own) => $own->where('scope', RubricScope::Person)->where('owner_id', $user->id))
            ->orWhere('scope', RubricScope::Institution));
    }

    /**
     * Where a person may put a rubric, by the value a form sends.
     *
     * @return array<string, string>
     */
    public static function shelves(User $user): array
    {
        $modules = Module::query()
            ->whereIn(
                'id',
                $user->memberships->filter(fn (Membership $m) => $m->role === Role::Coordinator)->pluck('module_id'),
            )
            ->orderBy('code')->get();

        return $modules->mapWithKeys(fn (Module $module) => [$module->public_id => $module->fullTitle()])->all()
            + ['own' => 'your own shelf', 'institution' => 'all of '.config('harbor.institution')];
    }

    /**
     * The rubrics an assignment of a module can be given: ready ones of the module, the planner's own and the institution's.
     *
     * @return Builder<Rubric>
     */
    public static function usableIn(Module $module, User $user): Builder
    {
        return Rubric::query()->where('state', RubricState::Ready)
            ->where(fn (Builder $any) => $any->where('module_id', $module->id)
                ->orWhere(fn (Builder $own) => $own->where('scope', RubricScope::Person)->where('owner_id', $user->id))
                ->orWhere('scope', RubricScope::Institution));
    }
}
