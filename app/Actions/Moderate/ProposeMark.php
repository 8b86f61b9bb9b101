<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Actions\Moderate\Concerns\LocksOpenScript;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Proposal;
use App\Models\Script;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;

/**
 * One marker proposes an agreed mark to the other, with a reason. A new proposal takes the place of an open one.
 */
final class ProposeMark
{
    use LocksOpenScript;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Script $script, User $marker, string $mark, string $reason): void
    {
        $value = Document::parse($mark);
        if ($value === null || $value->isGreaterThan(100) || $value->stripTrailingZeros()->getScale() > 1) {
            throw new Refused(
                'The agreed mark must be a number from 0 to 100 with at most one decimal, such as 62.5.', 'mark',
            );
        }
        DB::transaction(function () use ($script, $marker, $value, $reason): void {
            $stored = $this->lockOpen($script);
            $stored->proposals()->where('state', 'open')->update(['state' => 'replaced']);
            Proposal::query()->create(
                [
                    'script_id' => $stored->id, 'proposed_by' => $marker->id, 'mark' => (string) $value,
                    'reason' => $reason,
                ]
            );
            $this->logbook->write(
                Entry::of(LogEvent::MarkProposed)->on($stored)->with(mark: Figure::plain(BigDecimal::of($value)))
                    ->because($reason)->by($marker)
            );
        });
    }
}
