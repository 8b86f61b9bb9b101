<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use App\Models\Settlement;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\WhyOpen;

/**
 * Settles a script whose marks are all done, when the assignment's rule can; otherwise leaves it to the markers.
 *
 * Runs inside the transaction that finished the last mark, which then stores where the script stands.
 */
final class SettleByRule
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Script $script): void
    {
        $script->load(['marks.rubricVersion', 'assignment']);
        $settled = $script->outcome();
        if ($settled instanceof OpenMark) {
            in_array($settled->why, [WhyOpen::MarksMissing, WhyOpen::SampleNotDrawn], true)
                || $this->logbook->write(Entry::of(LogEvent::LeftToMarkers)->on($script)->with(
                    why: $settled->why,
                    size: $settled->apart === null ? null : Figure::shown($settled->apart->toBigRational()),
                ));

            return;
        }
        Settlement::keep($script, $settled);
        $this->logbook->write(
            Entry::of(LogEvent::SettledByRule)->on($script)->with(mark: Figure::shown($settled->mark))
        );
    }
}
