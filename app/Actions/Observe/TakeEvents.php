<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Actions\Mark\ChangeMark;
use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\ObservationEvent;
use App\Models\Slot;
use App\Observing\Recorded;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Observing\Event;

/**
 * Takes what an observer's devices recorded, in whatever order and however often it comes, and writes the observer's mark
 * out of all of it.
 */
final class TakeEvents
{
    /** Of one mark. */
    public const MOST = 2000;

    public function __construct(private readonly ChangeMark $change)
    {
    }

    /**
     * @param  list<array<array-key, mixed>>  $events
     * @param  int  $ahead  milliseconds that the device's clock is ahead of the server's
     * @return array{taken: list<string>, refused: array<string, string>} ids; and of what cannot be taken, why
     *
     * @throws Refused when nothing of this mark can change any more; what is there already counts as taken
     */
    public function __invoke(Mark $mark, array $events, int $ahead): array
    {
        $read = $refused = [];
        foreach ($events as $document) {
            try {
                $event = Event::read($document, $ahead);
                $read[$event->id] = $event;
            } catch (InvalidInput $e) {
                $id = is_string($document['id'] ?? null) ? mb_substr($document['id'], 0, 40) : '';
                $refused[$id] = implode('; ', array_map(fn (Fault $fault) => (string) $fault, $e->faults));
            }
        }
        $known = ObservationEvent::query()->where('mark_id', $mark->id)->whereIn('event', array_keys($read))->pluck('event')->all();
        $new = array_diff_key($read, array_flip($known));
        $new === [] || ($this->change)($mark, fn (Mark $stored) => $this->keep($stored, array_values($new)));

        return ['taken' => array_keys($read), 'refused' => $refused];
    }

    /**
     * @param  list<Event>  $events
     */
    private function keep(Mark $stored, array $events): void
    {
        ObservationEvent::query()->where('mark_id', $stored->id)->count() + count($events) <= self::MOST
            || throw new Refused(__('observe.refused.too_many'));
        DB::table('observation_events')->insertOrIgnore(array_map(fn (Event $event) => [
            'mark_id' => $stored->id, 'event' => $event->id, 'kind' => $event->kind->value,
            'at' => $event->at->format('Y-m-d H:i:s.v'), 'number' => $event->number, 'about' => $event->about,
            'value' => $event->value, 'received_at' => now(),
        ], $events));
        $seen = Recorded::of($stored);
        $choices = $stored->choices;
        foreach ($stored->rubric()->criteria as $criterion) {
            $now = Recorded::onCriterion($criterion, $seen);
            if ($now !== null) {
                $choices = $choices->with($criterion->id(), $now->withComment($choices->on($criterion->id())->comment));
            }
        }
        $stored->choices = $choices;
        Slot::query()->where('script_id', $stored->script_id)->update(['course' => $seen->course->value]);
    }
}
