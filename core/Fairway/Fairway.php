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
     * @return list<Mark>
     */
    public static function of(Counts $n): array
    {
        return [
            new Mark(
                Stage::Plan, $n->published ? Progress::Done : Progress::UnderWay,
                $n->published ? 'open to students' : 'not open yet', ! $n->published,
            ),
            self::collect($n),
            self::screen($n),
            self::shareOut($n),
            new Mark(
                Stage::Mark, Progress::of($n->firstDone, $n->handedIn),
                $n->sharedOut === 0 ? 'not begun' : "{$n->firstDone} of {$n->handedIn} marked",
            ),
            self::moderate($n),
            self::release($n),
        ];
    }

    private static function collect(Counts $n): Mark
    {
        $progress = match (true) {
            $n->pastDue && $n->published => Progress::Done,
            $n->handedIn > 0 => Progress::of($n->handedIn, $n->expected),
            default => Progress::NotBegun,
        };

        return new Mark(Stage::Collect, $progress, "{$n->handedIn} of {$n->expected} in");
    }

    private static function screen(Counts $n): Mark
    {
        $note = match (true) {
            $n->screeningFailed > 0 => "{$n->screeningFailed} failed",
            // Past a line, and nothing is in the conversation record yet.
            $n->toLook > 0 && $n->screened + $n->notScreened === $n->handedIn => "{$n->toLook} to look at",
            default => "{$n->screened} of {$n->handedIn} compared".(
                $n->notScreened > 0 ? ", {$n->notScreened} not screened" : ''
            ),
        };

        return new Mark(
            Stage::Screen, Progress::of($n->screened + $n->notScreened, $n->handedIn), $note,
            $n->screeningFailed > 0 || ($n->toLook > 0 && $n->pastDue),
        );
    }

    private static function shareOut(Counts $n): Mark
    {
        $open = $n->handedIn - $n->sharedOut;
        $note = match (true) {
            $n->sharedOut === 0 => 'not begun',
            $open > 0 => "{$open} not shared out",
            default => $n->tutors.' '.($n->tutors === 1 ? 'marker' : 'markers'),
        };

        return new Mark(Stage::ShareOut, Progress::of($n->sharedOut, $n->handedIn), $note, $n->pastDue && $open > 0);
    }

    private static function moderate(Counts $n): Mark
    {
        if (! $n->secondMarking) {
            return new Mark(Stage::Moderate, Progress::of($n->agreed, $n->handedIn), 'one mark a script');
        }
        $progress = Progress::of($n->agreed, $n->handedIn);
        if ($progress === Progress::NotBegun && $n->secondDone > 0) {
            $progress = Progress::UnderWay;
        }
        $note = $n->toSettle > 0 ? "{$n->toSettle} to settle" : "{$n->agreed} of {$n->handedIn} agreed";

        return new Mark(Stage::Moderate, $progress, $note, $n->toSettle > 0);
    }

    private static function release(Counts $n): Mark
    {
        $ready = $n->agreed - $n->held - $n->released;
        $note = match (true) {
            $n->released > 0 => "{$n->released} of {$n->handedIn} released",
            $ready > 0 => "{$ready} ready",
            default => 'nothing ready yet',
        };

        return new Mark(
            Stage::Release, Progress::of($n->released, $n->handedIn), $note,
            $n->handedIn > 0 && $ready > 0 && $n->agreed === $n->handedIn,
        );
    }
}
