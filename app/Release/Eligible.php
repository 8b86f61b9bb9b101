<?php

declare(strict_types=1);

namespace App\Release;

use App\Enums\CaseKind;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Script;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Release\Scope;

/**
 * Which scripts of an assignment a release is about, and which of them can go out.
 */
final class Eligible
{
    /** All that a result is written from. */
    public const WITH = [
        'marks.rubricVersion', 'settlement', 'result:id,public_id,script_id,mark', 'student', 'currentHandin', 'openCases',
        'lead.marks.rubricVersion', 'lead.settlement',
    ];

    /**
     * @return Builder<Script>
     */
    public static function inScope(Assignment $assignment, Scope $scope): Builder
    {
        $scripts = Script::query()->where('assignment_id', $assignment->id);
        $scope->codes === null || $scripts->whereIn('code', $scope->codes);
        if ($scope->sections !== null) {
            $scripts->whereIn('student_id', Membership::query()->where('module_id', $assignment->module_id)
                ->where('role', Role::Student)->whereIn('section', $scope->sections)->select('user_id'));
        }

        return $scripts;
    }

    /**
     * @return list<int> ids of scripts that can go out
     */
    public static function ids(Assignment $assignment, Scope $scope, bool $withMarks): array
    {
        return array_values(self::inScope($assignment, $scope)
            ->where(fn ($query) => $query->where('standing', Standing::Agreed)
                ->orWhere(fn (Builder $zero) => $zero->whereNot('standing', Standing::Released)
                    ->whereHas('openCases', fn ($case) => $case->where('kind', CaseKind::Zero)))
                ->when(
                    $withMarks && ! $assignment->release->feedbackOnly,
                    fn ($more) => $more->orWhere(fn ($without) => $without
                        ->whereHas('result', fn ($result) => $result->whereNull('mark'))
                        ->whereDoesntHave('openCases', fn ($case) => $case->where('kind', CaseKind::FeedbackOnly))),
                ))
            ->orderBy('id')->pluck('id')->map(fn (mixed $id) => (int) $id)->all());
    }

    /** Whether one can go out: its mark is agreed, or it went out without its mark and now goes with it. */
    public static function is(Script $script, bool $withMarks): bool
    {
        return $script->standing === Standing::Agreed || (
            $script->standing !== Standing::Released && $script->openCase(CaseKind::Zero) !== null
        ) || (
            $withMarks && ! $script->assignment->release->feedbackOnly && $script->standing === Standing::Released
            && $script->result !== null && $script->result->mark === null
            && $script->openCase(CaseKind::FeedbackOnly) === null
        );
    }

    /**
     * Sections of the module's students, so that one can be chosen.
     *
     * @return list<string> none where there is one at most
     */
    public static function sections(Assignment $assignment): array
    {
        $sections = Membership::query()->where('module_id', $assignment->module_id)->where('role', Role::Student)
            ->whereNull('left_at')->distinct()->orderBy('section')->pluck('section')
            ->map(fn (mixed $section) => (string) $section)->filter(fn (string $one) => $one !== '')->values();

        return $sections->count() > 1 ? array_values($sections->all()) : [];
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Script>
     */
    public static function load(Assignment $assignment, array $ids): Collection
    {
        return Script::query()->whereKey($ids)->with(self::WITH)->orderBy('id')->get()
            ->each(fn (Script $script) => $script->setRelation('assignment', $assignment));
    }
}
