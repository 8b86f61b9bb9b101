<?php

declare(strict_types=1);

namespace App\Queries;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\Script;
use App\Models\User;
use App\Queries\Plan\RubricLibrary;
use Illuminate\Database\Eloquent\Builder;

/**
 * What someone finds by a few letters: modules, assignments, rubrics, people and script codes, each only if it is open
 * to them. A name leads to the page of a person and a code to that of a script; neither leads to the other.
 */
final class Find
{
    /** Of fewer letters everything would be found. */
    public const LEAST = 2;

    /** So many of each kind are shown. */
    public const MOST = 8;

    /**
     * @return array<string, list<array{what: string, of: string, link: string}>> by kind, none of them empty; one more
     *     of a kind than is shown says that there are more
     */
    public function of(User $person, string $words): array
    {
        $words = trim($words);
        if (mb_strlen($words) < self::LEAST) {
            return [];
        }
        $like = '%'.addcslashes($words, '%_\\').'%';

        return array_filter([
            'modules' => $this->modules($person, $like), 'assignments' => $this->assignments($person, $like),
            'rubrics' => $this->rubrics($person, $like), 'people' => $this->people($person, $like, $words),
            'scripts' => $this->scripts($person, $words),
        ], fn (array $found) => $found !== []);
    }

    /**
     * @return list<array{what: string, of: string, link: string}>
     */
    private function modules(User $person, string $like): array
    {
        return array_values(Module::query()
            ->when(! $person->is_admin, fn (Builder $query) => $query->whereIn('id', $this->here($person)))
            ->where(fn (Builder $query) => $query->whereLike('code', $like)->orWhereLike('title', $like))
            ->orderBy('code')->orderByDesc('id')->limit(self::MOST + 1)->get()
            ->map(fn (Module $one) => [
                'what' => $one->fullTitle(), 'of' => '', 'link' => route('modules.show', $one),
            ])->all());
    }

    /**
     * @return list<array{what: string, of: string, link: string}>
     */
    private function assignments(User $person, string $like): array
    {
        return array_values(Assignment::query()->with('module')->whereLike('title', $like)
            ->whereIn('module_id', $this->here($person))->orderByDesc('due_at')
            // Students find those that are open to them: of a module there are few enough to look at each.
            ->limit(20 * self::MOST)->get()->filter(fn (Assignment $one) => $person->can('view', $one))
            ->take(self::MOST + 1)->map(fn (Assignment $one) => [
                'what' => $one->title, 'of' => $one->module->fullTitle(), 'link' => route('assignments.show', $one),
            ])->all());
    }

    /**
     * @return list<array{what: string, of: string, link: string}>
     */
    private function rubrics(User $person, string $like): array
    {
        if ($person->cannot('viewAny', Rubric::class)) {
            return [];
        }

        return array_values(RubricLibrary::readable($person)->whereLike('title', $like)->with('module')
            ->orderByDesc('updated_at')->limit(self::MOST + 1)->get()->map(fn (Rubric $one) => [
                'what' => $one->title, 'of' => $one->module?->fullTitle() ?? '', 'link' => route('rubrics.show', $one),
            ])->all());
    }

    /**
     * People of modules one coordinates, by name, number or mail address.
     *
     * @return list<array{what: string, of: string, link: string}>
     */
    private function people(User $person, string $like, string $words): array
    {
        $mine = $this->coordinated($person);

        return $mine === []
            ? []
            : array_values(Membership::query()->with(['user', 'module'])->whereIn('module_id', $mine)
                ->whereHas('user', fn (Builder $query) => $query->whereLike('name', $like)
                    ->orWhere('number', $words)->orWhere('email', User::addressKey($words)))
                ->orderByDesc('module_id')->limit(self::MOST + 1)->get()->map(fn (Membership $one) => [
                    'what' => $one->user->name, 'of' => "{$one->role->label()}, {$one->module->fullTitle()}",
                    'link' => route('members.show', $one),
                ])->all());
    }

    /**
     * Scripts of modules one coordinates, and those one marks, by the beginning of their codes.
     *
     * @return list<array{what: string, of: string, link: string}>
     */
    private function scripts(User $person, string $words): array
    {
        if (preg_match('/\A[A-Za-z]+(?:-\d*)?\z/', $words) !== 1) {
            return [];
        }
        $begins = addcslashes(mb_strtoupper($words), '%_\\').'%';
        $assignments = Assignment::query()->whereIn('module_id', $this->coordinated($person))->pluck('id');
        $found = $assignments->isEmpty() ? [] : Script::query()->with('assignment.module', 'lead')
            ->whereIn('assignment_id', $assignments)->whereLike('code', $begins)->whereNotNull('current_handin_id')
            ->orderBy('code')->limit(self::MOST + 1)->get()->map(fn (Script $one) => [
                'what' => $one->code, 'of' => $this->placeOf($one->assignment),
                'link' => route('moderate.show', $one->leadScript()),
            ])->all();
        $marks = Mark::counting()->where('marker_id', $person->id)->with('script.assignment.module')
            ->whereHas('script', fn (Builder $query) => $query->whereLike('code', $begins)
                ->whereNotIn('assignment_id', $assignments)
                ->whereHas('assignment', fn (Builder $one) => $one->whereIn('module_id', $this->here($person))))
            ->limit(self::MOST + 1)->get()->map(fn (Mark $one) => [
                'what' => $one->script->code, 'of' => $this->placeOf($one->script->assignment),
                'link' => route('mark.desk', $one),
            ])->all();

        return [...$found, ...$marks];
    }

    private function placeOf(Assignment $assignment): string
    {
        return "{$assignment->title}, {$assignment->module->code}";
    }

    /**
     * Modules they are in now.
     *
     * @return list<int>
     */
    private function here(User $person): array
    {
        return array_values(
            $person->memberships->whereNull('left_at')->map(fn (Membership $one) => $one->module_id)->all()
        );
    }

    /**
     * @return list<int>
     */
    private function coordinated(User $person): array
    {
        return array_values($person->memberships
            ->filter(fn (Membership $one) => $one->role === Role::Coordinator && $one->left_at === null)
            ->map(fn (Membership $one) => $one->module_id)->all());
    }
}
