<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Someone who marks: the agreed share of the work, and which of it they may have.
 */
final readonly class Marker
{
    /** Decimals a share may have. */
    public const DECIMALS = 3;

    public const LARGEST_SHARE = 1000;

    private function __construct(
        public string $id,
        public BigDecimal $share,
        /** @var list<string>|null null for every section */
        public ?array $sections,
        /** @var list<string> authors whose work they do not mark */
        public array $conflicts,
    ) {
    }

    /**
     * @param  string  $share  0 to 1000 beside the other markers' shares, at most three decimals; 0 gives nothing new
     * @param  list<string>|null  $sections
     * @param  list<string>  $conflicts
     *
     * @throws InvalidInput for a share that is none
     */
    public static function of(string $id, string $share = '1', ?array $sections = null, array $conflicts = []): self
    {
        if (
            preg_match('/\A[0-9]{1,4}(\.[0-9]{1,3})?\z/', $share) !== 1
            || BigDecimal::of($share)->isGreaterThan(self::LARGEST_SHARE)
        ) {
            throw InvalidInput::at(
                'share', 'must be a number from 0 to 1000 with at most three decimals, such as "1.5"',
            );
        }

        return new self($id, BigDecimal::of($share), $sections, $conflicts);
    }

    /** Why this marker may not have a script: nothing when they may. Nobody marks their own work. */
    public function obstacle(Work $work): ?MarkerObstacle
    {
        return match (true) {
            in_array($this->id, $work->authors, true)
                || array_intersect($this->conflicts, $work->authors) !== [] => MarkerObstacle::Conflict,
            $this->sections !== null && ! in_array($work->section, $this->sections, true) => MarkerObstacle::Section,
            $this->share->isZero() => MarkerObstacle::NoShare,
            default => null,
        };
    }

    public function mayHave(Work $work): bool
    {
        return $this->obstacle($work) === null;
    }
}
