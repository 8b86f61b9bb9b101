<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Fairway;

use YoungHarbor\Core\Stage;

/**
 * The seven stages of one assignment as its coordinator sees them.
 */
final class Fairway
{
    /**
     * @return list<StageMark>
     */
    public static function of(Counts $n): array
    {
        return [
            new StageMark(
                Stage::Plan, $n->published ? StageProgress::Done : StageProgress::UnderWay,
                $n->published ? 'open to students' : 'not open yet', ! $n->published,
            ),
            self::collect($n),
            self::screen($n),
            self::shareOut($n),
            new StageMark(
                Stage::Mark, StageProgress::of($n->firstDone, $n->handedIn),
                $n->sharedOut === 0 ? 'not begun' : "{$n->firstDone} of {$n->handedIn} marked",
            ),
            self::moderate($n),
            self::release($n),
        ];
    }

    private static function collect(Counts $n): StageMark
    {
        if ($n->writing !== null) {
            return new StageMark(
                Stage::Collect, $n->writing > 0 ? StageProgress::UnderWay : StageProgress::NotBegun,
                "{$n->writing} of {$n->expected} write",
            );
        }
        $progress = match (true) {
            $n->pastDue && $n->published => StageProgress::Done,
            $n->handedIn > 0 => StageProgress::of($n->handedIn, $n->expected),
            default => StageProgress::NotBegun,
        };

        return new StageMark(Stage::Collect, $progress, "{$n->handedIn} of {$n->expected} ".($n->observed ? 'have slots' : 'in'));
    }

    private static function screen(Counts $n): StageMark
    {
        if ($n->observed) {
            return new StageMark(Stage::Screen, StageProgress::of($n->handedIn, $n->expected), 'nothing to screen');
        }
        $note = match (true) {
            $n->screeningFailed > 0 => "{$n->screeningFailed} failed",
            // Past a line, and nothing is in the conversation record yet.
            $n->toLook > 0 && $n->screened + $n->notScreened === $n->handedIn => "{$n->toLook} to look at",
            default => "{$n->screened} of {$n->handedIn} compared".(
                $n->notScreened > 0 ? ", {$n->notScreened} not screened" : ''
            ),
        };

        return new StageMark(
            Stage::Screen, StageProgress::of($n->screened + $n->notScreened, $n->handedIn), $note,
            $n->screeningFailed > 0 || ($n->toLook > 0 && $n->pastDue),
        );
    }

    private static function shareOut(Counts $n): StageMark
    {
        $open = $n->handedIn - $n->sharedOut;
        $note = match (true) {
            $n->sharedOut === 0 => 'not begun',
            $open > 0 => "{$open} not shared out",
            default => $n->tutors.' '.($n->tutors === 1 ? 'marker' : 'markers'),
        };

        return new StageMark(
            Stage::ShareOut, StageProgress::of($n->sharedOut, $n->handedIn), $note, $n->pastDue && $open > 0,
        );
    }

    private static function moderate(Counts $n): StageMark
    {
        if (! $n->secondMarking) {
            return new StageMark(Stage::Moderate, StageProgress::of($n->agreed, $n->handedIn), 'one mark a script');
        }
        $progress = StageProgress::of($n->agreed, $n->handedIn);
        if ($progress === StageProgress::NotBegun && $n->secondDone > 0) {
            $progress = StageProgress::UnderWay;
        }
        $allMarked = $n->handedIn > 0 && $n->firstDone === $n->handedIn;
        $note = match (true) {
            $n->toSettle > 0 => "{$n->toSettle} to settle",
            $n->undecided > 0 && $allMarked => 'sample not drawn',
            default => "{$n->agreed} of {$n->handedIn} agreed",
        };

        return new StageMark(
            Stage::Moderate, $progress, $note, $n->toSettle > 0 || ($n->undecided > 0 && $allMarked),
        );
    }

    private static function release(Counts $n): StageMark
    {
        $ready = $n->agreed - $n->held - $n->released;
        $note = match (true) {
            $n->released > 0 => "{$n->released} of {$n->handedIn} released",
            $ready > 0 => "{$ready} ready",
            default => 'nothing ready yet',
        };

        return new StageMark(
            Stage::Release, StageProgress::of($n->released, $n->handedIn), $note,
            $n->handedIn > 0 && $ready > 0 && $n->agreed === $n->handedIn,
        );
    }
}
