<?php

declare(strict_types=1);

namespace App\Models;

use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\SettledMark;

/**
 * The agreed mark of one script, exact, with its working.
 *
 * @property int $id
 * @property int $script_id
 * @property string $mark exact: a decimal, or n/d
 * @property SettledBy $settled_by
 * @property list<array{what: string, how: string, result: string}> $working
 * @property int|null $proposal_id
 */
final class Settlement extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['working' => 'array', 'settled_by' => SettledBy::class];
    }

    /** Keeps a mark that has been settled. */
    public static function keep(Script $script, SettledMark $settled, ?Proposal $proposal = null): self
    {
        return self::query()->create([
            'script_id' => $script->id, 'mark' => Figure::exact($settled->mark), 'settled_by' => $settled->by,
            'working' => $settled->working->toArray(), 'proposal_id' => $proposal?->id,
        ]);
    }

    public function toCore(): SettledMark
    {
        $lines = array_map(
            fn (array $line) => new WorkingLine($line['what'], $line['how'], $line['result']), $this->working,
        );

        return new SettledMark(BigRational::of($this->mark), $this->settled_by, new Working($lines));
    }

    public function shownMark(): string
    {
        return Figure::shown(BigRational::of($this->mark));
    }
}
