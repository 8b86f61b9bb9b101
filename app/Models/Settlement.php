<?php

declare(strict_types=1);

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;
use YoungHarbor\Core\Moderation\Settled;

/**
 * The agreed mark of one script, exact, with its working.
 *
 * @property int $id
 * @property int $script_id
 * @property string $mark
 * @property string $how
 * @property list<array{what: string, how: string, result: string}> $working
 * @property int|null $proposal_id
 */
final class Settlement extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['working' => 'array'];
    }

    public function toCore(): Settled
    {
        $lines = array_map(fn (array $line) => new WorkingLine($line['what'], $line['how'], $line['result']), $this->working);

        return new Settled(BigDecimal::of($this->mark)->stripTrailingZeros(), new Working($lines));
    }

    public function shownMark(): string
    {
        return Figure::plain(BigDecimal::of($this->mark));
    }
}
