<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\FromCoordinator;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Collect\Placeholders;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Writes to markers who still have scripts of an assignment: each gets a mail of their own with their own numbers.
 */
final class RemindMarkers
{
    public const PLACEHOLDERS = ['name', 'open', 'assignment', 'promised', 'link'];

    public const USUAL = "Dear {name},\n\nof “{assignment}”, {open} are still on your desk. Students were promised their results for {promised}.\n\n{link}\n\nIf something stands in the way, write back and we will move scripts.";

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  list<string>  $to  public ids; who has nothing open is left out
     *
     * @throws Refused for a placeholder that is not filled in, or when nobody is left to write to
     */
    public function __invoke(Assignment $assignment, array $to, string $body, User $by): int
    {
        try {
            Placeholders::check($body, self::PLACEHOLDERS);
        } catch (InvalidInput $e) {
            throw new Refused($e->faults[0]->what.'. Nothing was sent.', 'body');
        }

        return DB::transaction(function () use ($assignment, $to, $body, $by): int {
            $open = Mark::counting()->where('assignment_id', $assignment->id)->whereNull('done_at')
                ->groupBy('marker_id')->selectRaw('marker_id, COUNT(*) AS still')->toBase()
                ->pluck('still', 'marker_id');
            $people = User::query()->whereIn('public_id', $to)->whereIn('id', $open->keys())->get();
            throw_if(
                $people->isEmpty(), new Refused('Nobody of these has anything left to mark, so nobody was written to.'),
            );
            foreach ($people as $person) {
                $count = (int) $open[$person->id];
                Mail::to($person->email)
                    ->queue((new FromCoordinator("Still to mark: {$assignment->title}", Placeholders::fill($body, [
                        'name' => $person->name, 'open' => $count === 1 ? '1 script' : "{$count} scripts",
                        'assignment' => $assignment->title,
                        'promised' => LocalTime::day($assignment->promised_on), 'link' => route('mark.index', $assignment),
                    ]), $by->name, $by->email))->afterCommit());
            }
            $this->logbook->write(
                Entry::of(LogEvent::MarkersReminded)->on($assignment)->with(markers: $people->count())->by($by)
            );

            return $people->count();
        });
    }
}
