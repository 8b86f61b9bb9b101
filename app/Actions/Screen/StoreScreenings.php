<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Models\Assignment;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Screening\Settings;
use YoungHarbor\Core\Screening\Verdict;

/**
 * Writes down where the screening of scripts is and which of them ask for a look, as the core works it out. Everything
 * that changes a report, the record of a script, the lines or who leads a group calls this in its own transaction;
 * lists and counts read what is stored.
 */
final class StoreScreenings
{
    private const CHUNK = 1000;

    /**
     * @param  iterable<int>  $scriptIds  the others of their groups follow
     */
    public function __invoke(iterable $scriptIds): void
    {
        collect($scriptIds)->unique()->chunk(self::CHUNK)->each(function (Collection $ids): void {
            $leads = DB::table('scripts')->whereIn('id', $ids)->selectRaw('COALESCE(lead_id, id) AS lead_id')
                ->pluck('lead_id')->unique();
            $followers = DB::table('scripts')->whereIn('lead_id', $leads)->pluck('id');
            $scripts = DB::table('scripts as s')->join(
                'scripts as l', 'l.id', '=', DB::raw('COALESCE(s.lead_id, s.id)'),
            )
                ->leftJoin('overlap_reports as o', 'o.handin_id', '=', 'l.current_handin_id')
                ->whereIn('s.id', $leads->concat($followers))
                ->get(['s.id', 's.assignment_id', 's.screening', 'l.id as lead', 'o.state', 'o.share']);
            $recorded = DB::table('conversation_entries')->whereIn('script_id', $leads)->distinct()->pluck('script_id')
                ->flip();
            $settings = Assignment::query()->whereKey($scripts->pluck('assignment_id')->unique())
                ->get(['id', 'screening'])->keyBy('id');
            $changes = [];
            foreach ($scripts as $script) {
                $assignment = $settings->get($script->assignment_id);
                $verdict = $assignment === null
                    ? Verdict::NotBegun
                    : $this->verdict($script, $assignment->screening, $recorded->has($script->lead));
                $verdict->value === $script->screening || $changes[$verdict->value][] = $script->id;
            }
            foreach ($changes as $verdict => $changed) {
                DB::table('scripts')->whereIn('id', $changed)->update(['screening' => $verdict]);
            }
        });
    }

    private function verdict(\stdClass $script, Settings $settings, bool $recorded): Verdict
    {
        return match (ReportState::tryFrom((string) $script->state)) {
            null => Verdict::NotBegun,
            ReportState::Waiting, ReportState::Running, ReportState::Stopped => Verdict::UnderWay,
            ReportState::Failed => Verdict::Failed,
            ReportState::Nothing => Verdict::NothingToCompare,
            ReportState::Ready => Verdict::ofReport((string) $script->share, $settings, $recorded),
        };
    }
}
