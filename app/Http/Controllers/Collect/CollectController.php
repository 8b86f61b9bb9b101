<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Documents\TakeAwayZip;
use App\Http\Controllers\Controller;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Script;
use App\Queries\Collect\Cohort;
use App\Queries\Collect\FirstFeedbackCounts;
use App\Wording\LocalTime;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;
use YoungHarbor\Core\Tables\Csv;

/**
 * Where everyone is, and taking it away. Names stand here without script codes, so that nobody learns whose script is
 * whose; the ZIP has codes and no names.
 */
final class CollectController extends Controller
{
    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $cohort = Cohort::of($assignment, $request->query());
        $counts = $cohort->counts();

        return view('collect.index', [
            'assignment' => $assignment, 'cohort' => $cohort, 'counts' => $counts,
            'rows' => $cohort->page($counts, $request->integer('page', 1)),
            ...$this->unread($assignment),
            'unreadable' => $this->unreadable($assignment),
            'first' => $assignment->first_feedback > 0 ? FirstFeedbackCounts::of($assignment) : null,
        ]);
    }

    /**
     * @return Builder<Handin>
     */
    private function of(Assignment $assignment): Builder
    {
        return Handin::query()->whereIn(
            'script_id', Script::query()->where('assignment_id', $assignment->id)->select('id'),
        );
    }

    /**
     * @return array{beingRead: int, unreadSince: Carbon|null} how many wait to be read; since when, once it is long
     */
    private function unread(Assignment $assignment): array
    {
        $row = $this->of($assignment)->toBase()->whereNull('read_at')->selectRaw('COUNT(*) AS unread')
            ->selectRaw('MIN(CASE WHEN created_at < ? THEN created_at END) AS since', [now()->subMinutes(10)])->sole();

        return ['beingRead' => (int) $row->unread, 'unreadSince' => $row->since === null ? null : Carbon::parse($row->since, 'UTC')];
    }

    /**
     * Last attempts that could not be read.
     *
     * @return Collection<int, Handin>
     */
    private function unreadable(Assignment $assignment): Collection
    {
        return $this->of($assignment)->whereNotNull('unreadable')
            ->whereNotExists(
                fn ($newer) => $newer->from('handins as newer')->whereColumn('newer.script_id', 'handins.script_id')
                    ->whereColumn('newer.attempt', '>', 'handins.attempt')
            )
            ->with('script.student')->orderBy('received_at')
            ->get(['id', 'script_id', 'attempt', 'unreadable', 'received_at', 'late']);
    }

    /** When work came in, as a picture of its own that the page fetches. */
    public function arrivals(Request $request, Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('collect.arrivals', ['arrivals' => Cohort::of($assignment, $request->query())->arrivals()]);
    }

    /** The rows shown, all of them. */
    public function csv(Request $request, Assignment $assignment, Logbook $logbook): StreamedResponse
    {
        $this->authorize('coordinate', $assignment);
        $logbook->note(Entry::of(LogEvent::CohortListTaken)->on($assignment)->by($this->person($request)));
        $cohort = Cohort::of($assignment, $request->query());
        $when = Cohort::showsWhen($assignment);
        $time = fn (?string $at): ?string => $at === null ? null : LocalTime::plain(Carbon::parse($at, 'UTC'));

        return response()->streamDownload(function () use ($cohort, $time, $when, $assignment): void {
            echo "\u{FEFF}".Csv::line(
                [
                    'Name', 'Number', 'Mail', 'Section', 'Group', 'Brief opened', 'Template taken', 'Drafts checked',
                    'Due', 'More time', 'Handed in', 'Attempt', 'Late', 'Waived', 'Result', 'Result first opened',
                    'Seconds read', 'Left', ...($assignment->isDiscussion() ? ['Posted', 'Replied', 'Below what was asked'] : []),
                ]
            );
            foreach ($cohort->rows() as $row) {
                echo Csv::line([
                    $row->name, $row->number, $row->email, $row->section, $row->group_name,
                    $when ? $time($row->brief_opened_at) : (
                        $row->brief_opened_at === null ? null : 'yes'
                    ), $time($row->template_taken_at), (int) $row->drafts,
                    $time($row->due_at), $row->more_time ? 'yes' : 'no',
                    $when ? $time($row->received_at) : null, $row->attempt === null ? null : (int) $row->attempt,
                    $row->late ? 'yes' : 'no', $row->waived_at === null ? 'no' : 'yes',
                    $row->result_id === null ? null : 'out', $time($row->first_opened_at),
                    $row->seconds_open === null ? null : (int) $row->seconds_open, $time($row->left_at),
                    ...($assignment->isDiscussion() ? [
                        (int) $row->posts > 0 ? 'yes' : 'no', (int) $row->replies > 0 ? 'yes' : 'no',
                        $row->first_at === null || $row->below ? 'yes' : 'no',
                    ] : []),
                ]);
            }
        }, Str::slug(
            "{$assignment->module->code} {$assignment->title}"
        ).'-cohort.csv', ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    public function zip(Request $request, Assignment $assignment, TakeAwayZip $takeAway): StreamedResponse
    {
        $this->authorize('coordinate', $assignment);

        return $takeAway->zip($assignment, $assignment->scripts()->getQuery(), $this->person($request));
    }
}
