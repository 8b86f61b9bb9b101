<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Who shares text with whom, as a picture: the scripts of each group of scripts that hang together stand on a circle of
 * their own, the groups beside each other, largest first.
 */
final readonly class Network
{
    /** Between two neighbours on a circle. */
    private const APART = 118;

    private const MARGIN = 62;

    private const ABOVE = 34;

    /**
     * @param  array<string, array{float, float}>  $places  by name
     * @param  list<array{from: string, to: string, words: int}>  $links  strongest last, so that they are drawn on top
     * @param  list<list<string>>  $groups  names, largest group first
     */
    private function __construct(
        public array $places,
        public array $links,
        public array $groups,
        public float $width,
        public float $height,
    ) {
    }

    /**
     * @param  list<array{from: string, to: string, words: int}>  $pairs  a pair may come twice, once from each side: the larger count stands
     * @param  int  $least  links of fewer words are not drawn
     * @param  float  $width  in pixels
     */
    public static function of(array $pairs, int $least, float $width): self
    {
        $words = [];
        foreach ($pairs as ['from' => $from, 'to' => $to, 'words' => $count]) {
            $key = $from < $to ? "{$from}\n{$to}" : "{$to}\n{$from}";
            if ($count >= $least && $from !== $to) {
                $words[$key] = max($words[$key] ?? 0, $count);
            }
        }
        asort($words);
        $links = [];
        foreach ($words as $key => $count) {
            [$from, $to] = explode("\n", $key);
            $links[] = ['from' => $from, 'to' => $to, 'words' => $count];
        }
        $groups = self::groups($links);
        [$places, $height] = self::laidOut($groups, $width);

        return new self($places, $links, $groups, $width, $height);
    }

    /**
     * @param  list<array{from: string, to: string, words: int}>  $links
     * @return list<list<string>>
     */
    private static function groups(array $links): array
    {
        $neighbours = [];
        foreach (array_reverse($links) as ['from' => $from, 'to' => $to]) {
            $neighbours[$from][] = $to;
            $neighbours[$to][] = $from;
        }
        ksort($neighbours, SORT_STRING);
        $seen = [];
        $groups = [];
        foreach (array_keys($neighbours) as $name) {
            $name = (string) $name;
            $group = [];
            // Depth first, strongest link first: those who share most stand beside each other.
            for ($stack = [$name]; $stack !== [];) {
                $at = array_pop($stack);
                if (! isset($seen[$at])) {
                    $seen[$at] = true;
                    $group[] = $at;
                    array_push($stack, ...array_reverse($neighbours[$at]));
                }
            }
            $group === [] || $groups[] = $group;
        }
        usort($groups, fn (array $a, array $b) => [count($b), $a[0]] <=> [count($a), $b[0]]);

        return $groups;
    }

    /**
     * @param  list<list<string>>  $groups
     * @return array{array<string, array{float, float}>, float} places, and the height they need
     */
    private static function laidOut(array $groups, float $width): array
    {
        $places = [];
        $x = $y = $row = 0.0;
        foreach ($groups as $group) {
            $count = count($group);
            $radius = $count === 2 ? self::APART / 2 : max(self::APART / 1.6, $count * self::APART / (2 * M_PI));
            $size = 2 * ($radius + self::MARGIN);
            // A triangle does not reach down to the circle's foot.
            $tall = match ($count) {
                2 => 0.0, 3 => 1.5 * $radius, default => 2 * $radius
            } + 2 * self::ABOVE;
            if ($x > 0 && $x + $size > $width) {
                $x = 0.0;
                $y += $row;
                $row = 0.0;
            }
            foreach ($group as $n => $name) {
                $angle = $count === 2 ? M_PI * (1 - $n) : 2 * M_PI * $n / $count - M_PI / 2;
                $places[$name] = [
                    round($x + $size / 2 + $radius * cos($angle), 1),
                    round($y + self::ABOVE + ($count === 2 ? 0 : $radius * (1 + sin($angle))), 1),
                ];
            }
            $x += $size;
            $row = max($row, $tall);
        }

        return [$places, $y + $row];
    }
}
