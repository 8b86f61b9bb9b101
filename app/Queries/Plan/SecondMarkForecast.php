<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Enums\Role;
use App\Models\Module;
use App\Wording\SecondMarking;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\SampleForecast;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marks\BandScale;

/**
 * What second marks will mean for the people who are in a module now, before anything is marked.
 */
final class SecondMarkForecast
{
    public function of(Module $module, Scheme $scheme, BandScale $scale): string
    {
        $roles = $module->members()->whereIn('role', [Role::Student, Role::Tutor])->selectRaw('role, COUNT(*) AS people')
            ->groupBy('role')->toBase()->pluck('people', 'role');
        $earlier = DB::table('marks')->join('assignments', 'assignments.id', '=', 'marks.assignment_id')
            ->where('assignments.module_id', $module->id)->where('marks.counting_seat', Seat::First->value)
            ->whereNotNull('marks.done_at')->latest('marks.done_at')->limit(2000)->pluck('marks.total');

        return SecondMarking::forecast($scheme, SampleForecast::of(
            $scheme->sample(), (int) ($roles[Role::Student->value] ?? 0), $scale->boundaries(),
            array_values($earlier->map(fn (mixed $total) => BigDecimal::of((string) $total))->all()),
        ), (int) ($roles[Role::Tutor->value] ?? 0), $earlier->count() >= SampleForecast::LEAST);
    }
}
