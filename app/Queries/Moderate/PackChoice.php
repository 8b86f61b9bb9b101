<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Enums\PackReader;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\SamplePack;
use App\Models\Script;
use App\Models\User;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Builder;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Sample;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;

/**
 * Which scripts a pack is made of: those with an agreed mark, that its reader did not mark.
 */
final class PackChoice
{
    /**
     * @return Builder<Script>
     */
    public function scripts(Assignment $assignment, PackReader $kind, User $reader): Builder
    {
        $scripts = Script::query()->where('assignment_id', $assignment->id)->whereNull('lead_id')
            ->whereIn('reached', [Standing::Agreed, Standing::Released]);

        // A moderator signs nothing of which they are a marker.
        return $kind === PackReader::Moderator
            ? $scripts->whereDoesntHave('marks', fn ($mark) => $mark->where('marker_id', $reader->id))
            : $scripts;
    }

    /**
     * @return array<int, list<string>> reasons by script id
     *
     * @throws Refused when there is nothing to choose from
     */
    public function of(Assignment $assignment, PackReader $kind, User $reader, SampleRule $rule): array
    {
        $scripts = $this->scripts($assignment, $kind, $reader)->with(['settlement', 'marks.marker:id,public_id'])
            ->orderBy('code')->get();
        $scripts->isNotEmpty() || throw new Refused(
            'No script has an agreed mark that this reader did not give: there is nothing to sign yet.',
        );
        $marks = array_values($scripts->map(fn (Script $script) => new FirstMark(
            (string) $script->id,
            $script->marks->first(fn (Mark $mark) => $mark->seat === Seat::First)->marker->public_id ?? '',
            $this->mark($script),
        ))->all());
        $seed = crc32("{$assignment->public_id} {$reader->public_id} "
            .SamplePack::query()->where('assignment_id', $assignment->id)->count());
        $reasons = [];
        foreach (Sample::draw($marks, $rule, $assignment->scale()->boundaries(), $seed)->scripts as $one) {
            $reasons[(int) $one->script] = $one->reasonKeys();
        }

        return $reasons;
    }

    private function mark(Script $script): BigDecimal
    {
        return BigRational::of($script->settlement->mark ?? '0')->toScale(3, RoundingMode::HALF_UP)
            ->stripTrailingZeros();
    }
}
