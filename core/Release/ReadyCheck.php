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
     */
    public static function of(array $standings, bool $secondMarking): self
    {
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
        if ($secondMarking) {
            $locks[] = new Lock(ReleaseObstacle::NoSecondMark, $at(Standing::MarkedOnce, Standing::WithSecondMarker));
        }
        $locks[] = new Lock(
            ReleaseObstacle::NotSettled,
            $secondMarking ? $at(Standing::ToSettle) : $at(Standing::MarkedOnce, Standing::ToSettle),
        );
        $locks[] = new Lock(ReleaseObstacle::Held, $at(Standing::Held));

        return new self($locks, $at(Standing::Agreed), $at(Standing::Released), $at(Standing::Expected));
    }

    public function isClear(): bool
    {
        return array_filter($this->locks, fn (Lock $lock) => ! $lock->isOpen()) === [];
    }
}
