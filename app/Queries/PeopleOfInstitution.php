<?php

declare(strict_types=1);

namespace App\Queries;

use App\Enums\Role;
use App\Models\Institution;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use YoungHarbor\Core\Accounts\Staff;

/**
 * Accounts by name, address or number, and by what is to be done about them.
 */
final readonly class PeopleOfInstitution
{
    public const SHOWN = ['all', 'staff', 'administrators', 'without-second-step', 'not-come', 'closed'];

    private const PAGE = 100;

    private function __construct(public string $search, public string $shown)
    {
    }

    public static function from(Request $request): self
    {
        $text = fn (string $key): string => is_string($value = $request->query($key))
            ? mb_substr(trim($value), 0, 100) : '';

        return new self($text('q'), in_array($text('show'), self::SHOWN, true) ? $text('show') : 'all');
    }

    /**
     * @return LengthAwarePaginator<int, User>
     */
    public function page(): LengthAwarePaginator
    {
        $like = '%'.addcslashes($this->search, '%_\\').'%';

        return $this->those($this->shown)
            ->when($this->search !== '', fn (Builder $query) => $query->where(fn (Builder $query) => $query
                ->whereLike('name', $like)->orWhereLike('email', $like)->orWhereLike('number', $like)))
            ->with('memberships.module:id,public_id,code')->orderBy('name')->orderBy('id')
            ->paginate(self::PAGE)->withQueryString();
    }

    /**
     * @return array<string, int> how many of each kind
     */
    public function counts(): array
    {
        return array_combine(
            self::SHOWN, array_map(fn (string $shown) => $this->those($shown)->count(), self::SHOWN),
        );
    }

    /**
     * @return Builder<User>
     */
    private function those(string $shown): Builder
    {
        $people = User::query();
        $shown === 'closed' ? $people->whereNotNull('closed_at') : $people->whereNull('closed_at');

        return match ($shown) {
            'staff' => $this->inRoles($people, [Role::Coordinator, Role::Tutor, Role::Examiner]),
            'administrators' => $people->where('is_admin', true),
            'not-come' => $people->whereNull('joined_at'),
            'without-second-step' => $this->whoNeedOne($people->whereNull('second_since')),
            default => $people,
        };
    }

    /**
     * @param  Builder<User>  $people
     * @return Builder<User>
     */
    private function whoNeedOne(Builder $people): Builder
    {
        $kinds = Institution::settings()->sign_in->secondStep;
        $roles = array_values(array_filter(array_map(fn (Staff $kind) => match ($kind) {
            Staff::Coordinators => Role::Coordinator, Staff::Tutors => Role::Tutor, Staff::Examiners => Role::Examiner,
            Staff::Administrators => null,
        }, $kinds)));

        return $people->where(fn (Builder $query) => $this->inRoles($query, $roles)
            ->when(in_array(Staff::Administrators, $kinds, true), fn (Builder $query) => $query->orWhere('is_admin', true)));
    }

    /**
     * @param  Builder<User>  $people
     * @param  list<Role>  $roles
     * @return Builder<User>
     */
    private function inRoles(Builder $people, array $roles): Builder
    {
        return $people->whereHas(
            'memberships', fn (Builder $query) => $query->whereIn('role', $roles)->whereNull('left_at'),
        );
    }
}
