<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use YoungHarbor\Core\Marking\Standing;

/**
 * What stands in the way of releasing an assignment's results, and which scripts could go out now.
 */
final readonly class ReadyCheck
{
    /**
     * @param  list<Lock>  $locks
     * @param  list<string>  $ready  codes of scripts that can be released
     * @param  list<string>  $released
     * @param  list<string>  $absent  expected, nothing handed in: nothing to release
     */
    private function __construct(
        public array $locks,
        public array $ready,
        public array $released,
        public array $absent,
    ) {
    }

    /**
     * @param  array<string, Standing>  $standings  by script code
     * @param  bool  $marksTwice  whether scripts, all or some, are marked a second time
     * @param  list<Signature>  $unsigned  signatures that are asked for and missing
     * @param  list<string>|null  $undecided  codes of those of which no sample has been drawn; null where none is drawn
     * @param  list<string>  $rounds  titles of rounds of peer review that count and are not closed
     * @param  list<string>  $talks  codes of those whose talk with the student is still to be had
     */
    public static function of(
        array $standings, bool $marksTwice, ?array $undecided = null, array $unsigned = [], array $talks = [],
        array $rounds = [],
    ): self {
        $by = [];
        foreach ($standings as $code => $standing) {
            $by[$standing->value][] = (string) $code;
        }
        $at = function (Standing ...$standings) use ($by): array {
            $codes = [];
            foreach ($standings as $standing) {
                array_push($codes, ...($by[$standing->value] ?? []));
            }

            return $codes;
        };
        $locks = [
            new Lock(ReleaseObstacle::NotSharedOut, $at(Standing::HandedIn)),
            new Lock(ReleaseObstacle::NotMarked, $at(Standing::WithMarker)),
        ];
        if ($undecided !== null) {
            $locks[] = new Lock(
                ReleaseObstacle::SampleNotDrawn, array_values(array_intersect($at(Standing::MarkedOnce), $undecided)),
            );
        }
        if ($marksTwice) {
            $locks[] = new Lock(
                ReleaseObstacle::NoSecondMark,
                array_values(
                    array_diff($at(Standing::MarkedOnce, Standing::WithSecondMarker), $undecided ?? [])
                ),
            );
        }
        $locks[] = new Lock(
            ReleaseObstacle::NotSettled,
            $marksTwice
                ? $at(Standing::ToSettle, Standing::WithThirdMarker)
                : $at(Standing::MarkedOnce, Standing::ToSettle),
        );
        $locks[] = new Lock(ReleaseObstacle::Held, $at(Standing::Held));
        if ($talks !== []) {
            $locks[] = new Lock(ReleaseObstacle::TalkOpen, $talks);
        }
        if ($rounds !== []) {
            $locks[] = new Lock(ReleaseObstacle::RoundOpen, $rounds);
        }
        if ($unsigned !== []) {
            $locks[] = new Lock(
                ReleaseObstacle::NotSigned, array_map(fn (Signature $one) => $one->value, $unsigned),
            );
        }

        return new self(
            $locks, $unsigned === [] && $rounds === [] ? $at(Standing::Agreed) : [], $at(Standing::Released),
            $at(Standing::Expected),
        );
    }

    public function isClear(): bool
    {
        return array_filter($this->locks, fn (Lock $lock) => ! $lock->isOpen()) === [];
    }
}
