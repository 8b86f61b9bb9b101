<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Who marks which script. The same input and seed give the same plan.
 *
 * First marks lie less than one script from each marker's fair share whenever the rules allow it ({@see EvenFlow}); where
 * groups are kept together, as near as {@see GroupPacking} finds. Second marks likewise, given the firsts, and then mixed
 * so that pairs of markers have about the same number of scripts in common ({@see Mixing}). Marks that are begun are
 * given in and stay; they count in the loads.
 */
final readonly class MarkerPlan
{
    /**
     * @param  list<GivenScript>  $given  new marks, by part and in the order of the scripts
     * @param  list<GivenScript>  $kept
     * @param  list<UnplacedMark>  $unplaced
     * @param  list<Load>  $loads
     * @param  list<string>  $notes
     */
    private function __construct(
        public array $given,
        public array $kept,
        public array $unplaced,
        public array $loads,
        public array $notes,
        public int $seed,
    ) {
    }

    /**
     * @param  list<Work>  $scripts
     * @param  list<Marker>  $markers
     * @param  int  $perScript  marks a script gets, 1 to 3
     * @param  string|null  $second  share of the scripts that get a second mark when $perScript is 1; drawn by the seed
     * @param  bool  $keepGroups  whether the scripts of a group have one first marker
     * @param  list<GivenScript>  $kept  marks that stay as they are; of scripts that are not planned too
     * @param  list<string>|null  $secondOf  scripts that get a second mark when $perScript is 1
     *
     * @throws InvalidInput without anyone who marks, for an id that stands twice, or a share of scripts that is none
     */
    public static function make(
        array $scripts, array $markers, int $seed, int $perScript = 1, ?string $second = null,
        bool $keepGroups = false, array $kept = [], ?array $secondOf = null,
    ): self {
        self::check($scripts, $markers, $perScript, $second, $secondOf !== null && $secondOf !== []);
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $state = new PlanState($random->shuffleArray($scripts), $random->shuffleArray($markers), $kept);
        $notes = [];
        foreach (array_slice(GivenScript::PARTS, 0, $perScript) as $part) {
            if ($part === 'first' && $keepGroups) {
                $state->placeGroups($random);
                $notes[] = self::spread($state);
            } else {
                $state->place($part, $state->works(), $random);
            }
        }
        if ($perScript === 1 && $second !== null) {
            $wanted = BigDecimal::of($second)->multipliedBy(count($scripts))->toScale(0, RoundingMode::CEILING)
                ->toInt();
            $state->place('second', $state->draw($wanted), $random);
            $notes[] = $wanted === 1
                ? '1 script is drawn for a second mark.'
                : "{$wanted} scripts are drawn for a second mark.";
        }
        if ($perScript === 1 && $secondOf !== null) {
            $wanted = array_flip($secondOf);
            $state->place(
                'second',
                array_values(array_filter($state->works(), fn (Work $work) => isset($wanted[$work->id]))), $random,
            );
        }
        $order = array_flip(array_map(fn (Work $work) => $work->id, $scripts));
        $byScript = fn (
            GivenScript|UnplacedMark $a, GivenScript|UnplacedMark $b,
        ): int => [$a->part, $order[$a->script]] <=> [$b->part, $order[$b->script]];
        $given = $state->given();
        $unplaced = $state->unplaced();
        usort($given, $byScript);
        usort($unplaced, $byScript);

        return new self(
            $given, $kept, $unplaced, $state->loads(array_map(fn (Marker $marker) => $marker->id, $markers)), $notes,
            $seed,
        );
    }

    /**
     * How many scripts each two markers have in common, in the order of the markers.
     *
     * @return array<string, array<string, int>> symmetric; every two markers are there
     */
    public function common(): array
    {
        return self::inCommon(
            [...$this->kept, ...$this->given], array_map(fn (Load $load) => $load->marker, $this->loads),
        );
    }

    /**
     * @param  iterable<GivenScript>  $given
     * @param  list<string>  $markers
     * @return array<string, array<string, int>>
     */
    public static function inCommon(iterable $given, array $markers): array
    {
        $common = array_map(fn () => array_fill_keys($markers, 0), array_fill_keys($markers, 0));
        $byScript = [];
        foreach ($given as $one) {
            $byScript[$one->script][] = $one->marker;
        }
        foreach ($byScript as $both) {
            foreach ($both as $a) {
                foreach ($both as $b) {
                    if ($a !== $b && isset($common[$a][$b])) {
                        $common[$a][$b]++;
                    }
                }
            }
        }

        return $common;
    }

    /**
     * @param  list<Work>  $scripts
     * @param  list<Marker>  $markers
     *
     * @throws InvalidInput
     */
    private static function check(
        array $scripts, array $markers, int $perScript, ?string $second, bool $some,
    ): void {
        foreach (['scripts' => $scripts, 'markers' => $markers] as $place => $list) {
            $ids = array_map(fn (Work|Marker $one) => $one->id, $list);
            foreach (array_count_values($ids) as $id => $times) {
                $times === 1 || throw InvalidInput::at($place, "{$id} stands in it {$times} times");
            }
        }
        $marking = array_filter($markers, fn (Marker $marker) => ! $marker->share->isZero());
        if ($marking === []) {
            throw InvalidInput::at(
                'markers', $markers === [] ? 'choose at least one marker' : 'every marker has a share of 0',
            );
        }
        if ($perScript < 1 || $perScript > count(GivenScript::PARTS)) {
            throw InvalidInput::at('marks_per_script', 'must be 1, 2 or 3');
        }
        if (
            $second !== null
            && (preg_match('/\A(0(\.[0-9]{1,6})?|1(\.0{1,6})?)\z/', $second) !== 1 || BigDecimal::of($second)->isZero())
        ) {
            throw InvalidInput::at(
                'second.share', 'must be a share of the scripts above 0 and at most 1, such as "0.2"',
            );
        }
        if (($perScript > 1 || $second !== null || $some) && count($marking) < max(2, $perScript)) {
            throw InvalidInput::at(
                'markers',
                $perScript > 2
                    ? 'three marks a script need at least three markers, since nobody marks a script twice'
                    : 'second marking needs at least two markers, since nobody marks a script twice',
            );
        }
    }

    /** How far apart loads lie when groups stay together. */
    private static function spread(PlanState $state): string
    {
        $distances = [];
        foreach ($state->loads($state->markerIds()) as $load) {
            $distances[] = BigRational::of($load->given())->minus($load->fair)->toScale(1, RoundingMode::HALF_UP);
        }
        $signed = fn (BigDecimal $figure): string => ($figure->isPositive() ? '+' : '').Figure::plain($figure);

        return 'Groups stay together with their first marker: loads lie from '.$signed(BigDecimal::min(...$distances))
            .' to '.$signed(BigDecimal::max(...$distances)).' scripts beside the fair shares.';
    }
}
