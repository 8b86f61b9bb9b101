<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Mark as MarkModel;
use App\Models\User;
use App\Queries\AssignmentCounts;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\View\Component;
use YoungHarbor\Core\Fairway\Counts;
use YoungHarbor\Core\Fairway\Fairway as CoreFairway;
use YoungHarbor\Core\Fairway\StageMark;
use YoungHarbor\Core\Stage;

/**
 * The strip at the top of every assignment page: seven stages, how far each is, and where something needs the reader.
 */
final class Fairway extends Component
{
    private const SLIM_SECONDS = 30;

    public readonly ?Role $role;

    public function __construct(
        public readonly Assignment $assignment,
        private readonly AssignmentCounts $counts,
        public readonly ?Stage $here = null,
        public readonly bool $slim = false,
        private readonly ?int $openMarks = null,
    ) {
        $user = Auth::user();
        $this->role = $user instanceof User ? $user->roleIn($assignment->module_id) : null;
    }

    public function render(): View
    {
        return view('components.fairway', ['marks' => array_map(fn (StageMark $mark) => [
            'mark' => $this->role === Role::Coordinator ? $mark : $this->forStaff($mark),
            'link' => $this->link($mark->stage),
        ], CoreFairway::of($this->numbers()))]);
    }

    /**
     * Where people work long on one thing the strip shows shapes and no numbers: there it may be half a minute old, so
     * that a step from script to script does not count a cohort.
     */
    private function numbers(): Counts
    {
        return $this->slim
            ? Cache::remember(
                "fairway:{$this->assignment->id}", self::SLIM_SECONDS,
                fn (): Counts => $this->counts->of($this->assignment),
            )
            : $this->counts->of($this->assignment);
    }

    /** Markers and the examiner are told what waits for them, not for the coordinator. */
    private function forStaff(StageMark $mark): StageMark
    {
        if ($mark->stage === Stage::Mark && $this->role === Role::Tutor) {
            $open = $this->openMarks ?? MarkModel::onDesks()->where('marker_id', Auth::id())->whereNull('done_at')
                ->whereIn(
                    'script_id',
                    fn ($query) => $query->select('id')->from('scripts')->where('assignment_id', $this->assignment->id),
                )->count();

            return new StageMark(
                $mark->stage, $mark->progress, $open === 0 ? 'nothing left for you' : "{$open} still yours", $open > 0,
            );
        }

        return new StageMark(
            $mark->stage, $mark->progress,
            in_array($mark->stage, [Stage::Collect, Stage::Screen, Stage::ShareOut], true) ? '' : $mark->note,
        );
    }

    private function link(Stage $stage): ?string
    {
        $route = match ($stage) {
            Stage::Plan => 'plan.edit',
            Stage::Mark => 'mark.index',
            default => $stage->value.'.index',
        };
        $open = match ($this->role) {
            Role::Coordinator => true,
            Role::Tutor => in_array($stage, [Stage::Mark, Stage::Moderate], true),
            Role::Examiner => $stage === Stage::Moderate,
            default => false,
        };

        return $open ? route($route, $this->assignment) : null;
    }
}
