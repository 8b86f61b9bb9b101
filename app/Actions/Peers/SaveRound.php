<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * Plans a round of peer review or self-assessment, and changes it as long as it can be changed.
 */
final class SaveRound
{
    /** Fixed once reviews are given out: people have begun by them. */
    private const FIXED = ['on', 'peers', 'self', 'criteria', 'names', 'each'];

    public function __construct(private readonly Logbook $logbook, private readonly SetMemberTimes $setTimes)
    {
    }

    /**
     * @param  array{begins_at: Carbon, due_at: Carbon, answers_due_at: Carbon|null}  $times
     *
     * @throws Refused
     */
    public function __invoke(
        Assignment $assignment, ?Round $round, string $title, RoundSettings $settings, array $times, User $by,
    ): Round {
        return DB::transaction(function () use ($assignment, $round, $title, $settings, $times, $by): Round {
            $in = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $stored = $round === null ? null : Round::query()->lockForUpdate()->findOrFail($round->id);
            $this->check($in, $stored, $settings, $times);
            $fields = ['title' => $title, 'settings' => $settings, ...$times];
            if ($stored === null) {
                $made = Round::query()->create($fields + [
                    'assignment_id' => $in->id, 'made_by' => $by->id, 'seed' => random_int(1, 2_000_000_000),
                    'number' => 1 + (int) Round::query()->where('assignment_id', $in->id)->max('number'),
                ]);
                $this->logbook->write(Entry::of(LogEvent::RoundMade)->on($in)->saying(title: $title)->by($by));

                return $made;
            }
            $stored->fill($fields);
            if ($stored->isDirty()) {
                $stored->lock_version++;
                $stored->save();
                $stored->isOpened() && ($this->setTimes)($stored);
                $this->logbook->write(Entry::of(LogEvent::RoundChanged)->on($in)->saying(title: $title)->by($by));
            }

            return $stored;
        });
    }

    /**
     * @param  array{begins_at: Carbon, due_at: Carbon, answers_due_at: Carbon|null}  $times
     *
     * @throws Refused
     */
    private function check(Assignment $assignment, ?Round $stored, RoundSettings $settings, array $times): void
    {
        $stored?->isClosed() && throw new Refused((string) __('peers.closed_no_change'));
        if ($stored?->given_at !== null) {
            $was = $stored->settings->toArray();
            $now = $settings->toArray();
            foreach (self::FIXED as $key) {
                $was[$key] === $now[$key] || throw new Refused(
                    (string) __('peers.fixed', ['what' => __("peers.field.{$key}")]), $key,
                );
            }
        }
        $rubric = $assignment->rubricVersion?->toCore()
            ?? throw new Refused((string) __('peers.needs_rubric'));
        foreach ($settings->criteria as $id) {
            $rubric->criterion($id) ?? throw new Refused((string) __('peers.criterion_gone'), 'criteria');
        }
        $rubric->only($settings->criteria)->scored() !== []
            || throw new Refused((string) __('peers.criterion_scored'), 'criteria');
        $times['begins_at']->lt($times['due_at']) || throw new Refused((string) __('peers.due_after_begin'), 'due_at');
        $times['answers_due_at'] === null || $times['answers_due_at']->gt($times['due_at'])
            || throw new Refused((string) __('peers.answers_after_due'), 'answers_due_at');
    }
}
