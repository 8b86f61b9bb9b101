<?php

declare(strict_types=1);

namespace App\Actions\Observe;

use App\Actions\Collect\Concerns\KeepsAttempts;
use App\Actions\Mark\StoreStandings;
use App\Documents\Receipts;
use App\Enums\ReportState;
use App\Events\CountingAttemptChanged;
use App\Events\HandinRead;
use App\Exceptions\Refused;
use App\Extraction\FileKind;
use App\Handins\UploadedPiece;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\OverlapReport;
use App\Models\Script;
use App\Models\Slot;
use App\Models\User;
use App\Observing\Slots;
use App\Observing\TellOfSlot;
use Illuminate\Support\Facades\DB;

/**
 * Lets students know their slots, and puts each on its observers' desks. What is marked is an attempt like any other,
 * which says when and where: what was seen stands with the marks.
 */
final class PublishSlots
{
    use KeepsAttempts;

    public function __construct(
        private readonly TellOfSlot $tell, private readonly Receipts $receipts, private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @return int how many were published
     *
     * @throws Refused when there is nothing to publish
     */
    public function __invoke(Assignment $assignment, User $by): int
    {
        return DB::transaction(function () use ($assignment, $by): int {
            $stored = Assignment::query()->with('module')->lockForUpdate()->findOrFail($assignment->id);
            $slots = $stored->slots()->whereNull('published_at')->with('observers', 'script.student')->get();
            $slots->isNotEmpty() || throw new Refused(__('observe.refused.nothing_drawn'));
            foreach ($slots as $slot) {
                $slot->setRelation('assignment', $stored);
                $slot->update(['published_at' => now()]);
                $this->give($slot);
                $this->tell->changed($slot);
            }
            $stored->forceFill(['shared_out_at' => $stored->shared_out_at ?? now()])->save();
            ($this->standings)($slots->pluck('script_id'));
            $this->logbook->write(
                Entry::of(LogEvent::SlotsPublished)->on($stored)->with(given: $slots->count())->by($by),
            );

            return $slots->count();
        });
    }

    private function give(Slot $slot): void
    {
        $script = Script::query()->with('assignment', 'student')->withMax('handins', 'attempt')->lockForUpdate()
            ->findOrFail($slot->script_id);
        $script->current_handin_id === null && $this->attempt($script, $slot);
        foreach ($slot->observers as $n => $observer) {
            Mark::give($script, Slots::seat($n), $observer->id, $slot->assignment);
        }
    }

    private function attempt(Script $script, Slot $slot): void
    {
        $piece = new UploadedPiece('slot.json', FileKind::Slot, json_encode([
            'slot' => $slot->public_id,
            'from' => $slot->starts_at->toIso8601ZuluString(),
            'to' => $slot->ends_at->toIso8601ZuluString(),
            'room' => $slot->room,
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT)."\n");
        $handin = $this->keep(
            $script, $script->student, [$piece], [$piece->store('handins')], now()->startOfSecond(), null, null,
        );
        $handin->update([
            'html' => '<p>'.e(__('observe.attempt')).'</p>', 'read_at' => now(), 'prepared_at' => now(), 'files_read' => 1,
            'late' => false,
        ]);
        $script->letCount($handin->refresh());
        OverlapReport::query()->create([
            'handin_id' => $handin->id, 'state' => ReportState::Nothing, 'failure' => __('observe.nothing_compared'),
        ]);
        CountingAttemptChanged::dispatch([$script->id]);
        HandinRead::dispatch(Handin::query()->findOrFail($handin->id)->setRelation('script', $script));
    }
}
