<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\WebState;
use App\Enums\WritingState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\WritingReport;
use App\Screening\Detector\Detector;
use App\Screening\Detector\DetectorUnanswered;
use Illuminate\Support\Facades\DB;

/**
 * Asks the outside detector about one hand-in, where its assignment says so. The text goes out without its author's name
 * and without anything else; that it went out stands in the logbook.
 */
final class AskDetector
{
    public function __construct(
        private readonly Detector $detector,
        private readonly Logbook $logbook,
    ) {
    }

    public function __invoke(WritingReport $report): void
    {
        $script = $report->handin->script;
        $assignment = $script->assignment;
        // Of a text too short to be measured a detector says nothing either.
        if (
            ! $assignment->mayAskDetector($report->handin) || $assignment->writingBaseline === null
            || $report->state !== WritingState::Ready || $script->current_handin_id !== $report->handin_id
        ) {
            return;
        }
        DB::transaction(
            fn () => $this->logbook->write(
                Entry::of(LogEvent::SentToDetector)->on($script)->with(words: $report->handin->words)
            )
        );
        try {
            $answer = $this->detector->judge($report->handin->text, $assignment->writingBaseline->language);
            $report->update(
                ['detector_state' => WebState::Ready, 'detector' => $answer->toArray(), 'detector_failure' => null]
            );
        } catch (DetectorUnanswered $e) {
            $report->update(
                ['detector_state' => WebState::Failed, 'detector_failure' => mb_substr($e->getMessage(), 0, 500)]
            );
        }
    }
}
