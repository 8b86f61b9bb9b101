<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsCoreValue;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * The agreed mark of one script, exact, with its working.
 *
 * @property int $id
 * @property int $script_id
 * @property string $mark exact: a decimal, or n/d
 * @property SettledBy $settled_by
 * @property list<array{what: string, how: string, result: string}> $working
 * @property CriterionMarks $choices agreed criterion by criterion; empty where only a total was
 * @property Feedback $feedback whose comments the student reads
 * @property int|null $proposal_id
 * @property int|null $decided_by a coordinator, as the last resort
 * @property string $reason
 * @property Carbon|null $undone_at opened again: kept to be read, and holds no more
 * @property int|null $undone_by
 * @property string $undone_reason
 * @property Carbon $created_at
 */
final class Settlement extends Model
{
    protected $guarded = ['holding_script_id'];

    protected function casts(): array
    {
        return [
            'working' => 'array', 'settled_by' => SettledBy::class,
            'choices' => AsCoreValue::class.':'.CriterionMarks::class,
            'feedback' => AsCoreValue::class.':'.Feedback::class,
            'undone_at' => 'datetime',
        ];
    }

    /** Keeps a mark that has been settled. */
    public static function keep(
        Script $script, SettledMark $settled, Proposal|MarkOffer|null $of = null, ?User $decidedBy = null,
    ): self {
        return self::query()->create([
            ...self::columns($settled, $of), 'script_id' => $script->id,
            'proposal_id' => $of instanceof Proposal ? $of->id : null, 'decided_by' => $decidedBy?->id,
        ]);
    }

    /**
     * @return array<string, mixed> what is kept of a mark that is settled, or would be
     */
    public static function columns(SettledMark $settled, Proposal|MarkOffer|null $of): array
    {
        return [
            'mark' => Figure::exact($settled->mark), 'settled_by' => $settled->by,
            'working' => $settled->working->toArray(), 'choices' => $of->choices ?? CriterionMarks::usual(),
            // Where a third decides, the mark is theirs, and so is what is said of it.
            'feedback' => $of->feedback
                ?? ($settled->by === SettledBy::Third ? new Feedback([Seat::Third]) : Feedback::usual()),
            'reason' => $of->reason ?? '',
        ];
    }

    /** The seat whose levels the student reads; null where levels were agreed. */
    public function levelsOf(): ?Seat
    {
        return match (true) {
            ! $this->choices->isEmpty() => null,
            $this->settled_by === SettledBy::Third => Seat::Third,
            default => Seat::First,
        };
    }

    /** Opens it again: it stays to be read, and holds no more. */
    public function undo(?User $by, string $reason = ''): void
    {
        $this->update(['undone_at' => now(), 'undone_by' => $by?->id, 'undone_reason' => $reason]);
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
