<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

use Brick\Math\BigDecimal;

/**
 * Where a share of overlap lies against the two lines a coordinator draws. It says where to look, never what is found.
 */
enum Attention: string
{
    case None = '';
    case Look = 'look';
    case LookClosely = 'look-closely';

    /**
     * A line counts from its own figure on.
     *
     * @param  string  $share  percent, and so are the lines
     */
    public static function of(string $share, string $look, string $lookClosely): self
    {
        $share = BigDecimal::of($share);

        return match (true) {
            $share->isGreaterThanOrEqualTo($lookClosely) => self::LookClosely,
            $share->isGreaterThanOrEqualTo($look) => self::Look,
            default => self::None,
        };
    }
}
