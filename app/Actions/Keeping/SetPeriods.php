<?php

declare(strict_types=1);

namespace App\Actions\Keeping;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Institution;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Keeping\Periods;

/**
 * Sets for how long what is kept, in the institution or in one module. Nothing goes by it: what is over is listed, and
 * somebody confirms.
 */
final class SetPeriods
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  Module|null  $module  null: of the institution
     *
     * @throws Refused where something would be kept for longer than the marks it goes with
     */
    public function __invoke(?Module $module, Periods $periods, string $reason, User $by): void
    {
        DB::transaction(function () use ($module, $periods, $reason, $by): void {
            $institution = Institution::query()->lockForUpdate()->first() ?? new Institution;
            $whole = $module === null ? $periods : $institution->keeping;
            $modules = $module === null
                ? Module::query()->whereNotNull('keeping')->orderBy('code')->get()
                : collect([$module->forceFill(['keeping' => $periods])]);
            self::refuseLonger($whole, null);
            $modules->each(fn (Module $one) => self::refuseLonger($whole->with($one->keeping), $one));
            $module === null
                ? $institution->fill(['keeping' => $periods])->save()
                : $module->save();
            $said = [];
            foreach ($periods->toArray() as $kind => $months) {
                $said[] = "{$kind} {$months}";
            }
            $entry = Entry::of(LogEvent::PeriodsSet)->with(what: $said)->because($reason)->by($by);
            $this->logbook->write($module === null ? $entry : $entry->on($module));
        });
    }

    private static function refuseLonger(Periods $periods, ?Module $module): void
    {
        $longer = array_map(
            fn (Kind $kind) => __("keeping.periods.kinds.{$kind->value}.0"), $periods->longerThanMarks(),
        );
        $longer === [] || throw new Refused(
            __($module === null ? 'keeping.periods.longer' : 'keeping.periods.longer_in', [
                'kinds' => implode(', ', $longer), 'months' => (int) $periods->months(Kind::Marks),
                'module' => (string) $module?->fullTitle(),
            ]),
            'months',
        );
    }
}
