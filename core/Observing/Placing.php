<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

/**
 * Who is in which stretch of time while slots are drawn: minutes that are taken are counted along, so that a search
 * for room adds up nothing anew.
 */
final class Placing
{
    /** @var array<int, array<int, int>> by stretch: who is in it, by themselves */
    private array $in = [];

    /** @var array<int, int> minutes by stretch, with a gap after each slot */
    private array $taken = [];

    /** @var array<int, list<int>> by person: stretches in which they may be observed */
    private array $open = [];

    /** @var array<int, true> stretches that the search has looked for room in */
    private array $tried = [];

    /** @var array<int, list<int>> by minutes: stretches in which the last search for so much found nothing */
    private array $failed = [];

    /**
     * @param  list<Ground>  $grounds
     * @param  list<ToObserve>  $people
     * @param  int  $gap  minutes between two slots in a room
     */
    public function __construct(
        private readonly array $grounds, private readonly array $people, private readonly int $gap,
    ) {
        foreach ($grounds as $n => $ground) {
            $this->in[$n] = [];
            $this->taken[$n] = 0;
        }
        foreach ($people as $who => $person) {
            $this->open[$who] = array_keys(array_filter(
                $grounds,
                fn (Ground $ground) => $ground->minutes() >= $person->minutes && ! self::isKept($person, $ground),
            ));
        }
    }

    /** Finds room for someone, moving others where that makes some; false when there is none. */
    public function place(int $who): bool
    {
        $minutes = $this->people[$who]->minutes;
        // A search that failed changed nothing: whoever needs as much and may be nowhere else fails
        // likewise. (Where lengths differ, another order might have found one more.)
        if (array_diff($this->open[$who], $this->failed[$minutes] ?? []) === []) {
            return false;
        }
        $this->tried = [];
        $found = $this->find($who);
        $this->failed = $found ? [] : [$minutes => array_keys($this->tried)] + $this->failed;

        return $found;
    }

    /** Why someone found no room: kept where each stretch that is long enough has one they are kept from, else full. */
    public function why(int $who): string
    {
        $long = array_filter($this->grounds, fn (Ground $ground) => $ground->minutes() >= $this->people[$who]->minutes);

        return $long !== [] && $this->open[$who] === [] ? 'kept' : 'full';
    }

    /**
     * @return list<int> who is in a stretch, in the order in which they are to come
     */
    public function in(int $ground): array
    {
        $in = $this->in[$ground];
        sort($in);

        return $in;
    }

    /**
     * An augmenting path: into a stretch with room, or in place of someone who finds room elsewhere. Nothing is changed
     * before the whole path is known.
     */
    private function find(int $who): bool
    {
        foreach ($this->open[$who] as $n) {
            if ($this->hasRoom($n, $this->need($who))) {
                $this->put($who, $n);

                return true;
            }
        }
        foreach ($this->open[$who] as $n) {
            if (isset($this->tried[$n])) {
                continue;
            }
            $this->tried[$n] = true;
            foreach ($this->in[$n] as $other) {
                if (! $this->hasRoom($n, $this->need($who) - $this->need($other))) {
                    continue;
                }
                $this->take($other, $n);
                $this->put($who, $n);
                if ($this->find($other)) {
                    return true;
                }
                $this->take($who, $n);
                $this->put($other, $n);
            }
        }

        return false;
    }

    private function need(int $who): int
    {
        return $this->people[$who]->minutes + $this->gap;
    }

    /** The last slot of a stretch has no gap after it. */
    private function hasRoom(int $ground, int $minutes): bool
    {
        return $this->grounds[$ground]->minutes() >= $this->taken[$ground] + $minutes - $this->gap;
    }

    private function put(int $who, int $ground): void
    {
        $this->in[$ground][$who] = $who;
        $this->taken[$ground] += $this->need($who);
    }

    private function take(int $who, int $ground): void
    {
        unset($this->in[$ground][$who]);
        $this->taken[$ground] -= $this->need($who);
    }

    private static function isKept(ToObserve $person, Ground $ground): bool
    {
        return array_intersect($ground->observers, $person->not) !== [];
    }
}
