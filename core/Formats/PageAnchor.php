<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Formats;

use YoungHarbor\Core\Input\InvalidInput;

/**
 * A place on a page of a file: a point, a box, a line or a line drawn by hand. Coordinates are percent of the page's width
 * and height, from its upper left corner, so that they hold at any zoom.
 */
final readonly class PageAnchor
{
    public const SHAPES = ['point', 'box', 'line', 'freehand'];

    private const MOST_POINTS = 400;

    private function __construct(
        public int $file,
        public int $page,
        public string $shape,
        /** @var non-empty-list<array{float, float}> */
        public array $points,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $from
     *
     * @throws InvalidInput
     */
    public static function fromArray(array $from): self
    {
        $file = $from['file'] ?? null;
        $page = $from['page'] ?? null;
        $shape = $from['shape'] ?? null;
        $points = [];
        foreach (is_array($from['points'] ?? null) ? $from['points'] : [] as $point) {
            if (
                ! is_array($point) || ! is_numeric($point[0] ?? null) || ! is_numeric($point[1] ?? null)
                || min($point[0], $point[1]) < 0 || max($point[0], $point[1]) > 100
            ) {
                throw InvalidInput::at('anchor', 'lies outside its page');
            }
            $points[] = [round((float) $point[0], 2), round((float) $point[1], 2)];
        }
        $wanted = match ($shape) {
            'point' => count($points) === 1, 'box', 'line' => count($points) === 2,
            'freehand' => count($points) >= 2 && count($points) <= self::MOST_POINTS, default => false,
        };
        if (
            ! $wanted || ! is_int($file) || $file < 1 || ! is_int($page) || $page < 1 || $page > 10_000
            || $points === []
        ) {
            throw InvalidInput::at('anchor', 'is no place on a page');
        }

        return new self($file, $page, $shape, $points);
    }

    /**
     * @return array{file: int, page: int, shape: string, points: non-empty-list<array{float, float}>}
     */
    public function toArray(): array
    {
        return ['file' => $this->file, 'page' => $this->page, 'shape' => $this->shape, 'points' => $this->points];
    }

    /**
     * As selectors of the W3C Web Annotation Data Model: a FragmentSelector with the page (RFC 8118) and the box as in
     * Media Fragments, refined by an SvgSelector for what is drawn.
     *
     * @return array<string, mixed>
     */
    public function selector(): array
    {
        $x = array_column($this->points, 0);
        $y = array_column($this->points, 1);
        $number = fn (float $value): string => rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
        $fragment = [
            'type' => 'FragmentSelector', 'conformsTo' => 'http://tools.ietf.org/rfc/rfc8118',
            'value' => "page={$this->page}&viewrect=".implode(
                ',', array_map($number, [min($x), min($y), max($x) - min($x), max($y) - min($y)]),
            ),
        ];
        if ($this->shape === 'box' || $this->shape === 'point') {
            return $fragment;
        }
        $path = 'M'.implode(
            ' L', array_map(fn (array $point) => $number($point[0]).' '.$number($point[1]), $this->points),
        );

        return $fragment + [
            'refinedBy' => [
                'type' => 'SvgSelector',
                'value' => "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 100 100'><path d='{$path}'/></svg>",
            ],
        ];
    }
}
