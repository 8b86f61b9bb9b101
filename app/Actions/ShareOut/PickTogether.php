<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Seat;

/**
 * Chooses the scripts that all markers mark before the real marking. Those taken out again go only while nobody has
 * begun.
 */
final class PickTogether
{
    public const MOST = 6;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  list<string>  $codes  all that are to be marked together
     * @param  Collection<int, User>  $markers
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, array $codes, Collection $markers, User $by): void
    {
        DB::transaction(function () use ($assignment, $codes, $markers, $by): void {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $obstacle = $codes === [] ? null : $stored->whyNotTogether($markers->count());
            throw_if($obstacle !== null, new Refused((string) $obstacle));
            throw_if(
                count($codes) > self::MOST,
                new Refused('Choose '.self::MOST.' scripts at most: everyone marks each of them.'),
            );
            $scripts = Script::query()->where('assignment_id', $stored->id)
                ->whereHas('currentHandin', fn ($handin) => $handin->whereNotNull('read_at'))->whereNull('lead_id')
                ->whereIn('code', $codes)->with('together')->lockForUpdate()->get();
            $unknown = array_diff($codes, $scripts->pluck('code')->all());
            throw_if(
                $unknown !== [],
                new Refused('Not a script that has been handed in: '.implode(', ', $unknown).'. Nothing was changed.'),
            );
            $old = Mark::query()->where('seat', Seat::Together)
                ->whereIn('script_id', Script::query()->where('assignment_id', $stored->id)->select('id'))
                ->with('script:id,code')->get();
            $gone = $old->filter(fn (Mark $mark) => ! in_array($mark->script->code, $codes, true));
            $begun = $gone->filter(fn (Mark $mark) => $mark->begun_at !== null)
                ->map(fn (Mark $mark) => $mark->script->code)->unique();
            throw_if(
                $begun->isNotEmpty(),
                new Refused(
                    $begun->implode(', ').' cannot be taken out: someone has begun on it. Nothing was changed.'
                ),
            );
            Mark::query()->whereKey($gone->modelKeys())->delete();
            foreach ($scripts as $script) {
                foreach ($markers as $marker) {
                    $script->together->contains('marker_id', $marker->id)
                        || Mark::give($script, Seat::Together, $marker->id, $stored);
                }
            }
            $this->logbook->write(
                Entry::of(LogEvent::TogetherChosen)->on($stored)
                    ->with(scripts: implode(', ', $codes), markers: $markers->count())->by($by)
            );
        });
    }
}
