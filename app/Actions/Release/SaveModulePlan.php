<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Release\ModulePlan;

/**
 * Keeps how the mark of a module is made.
 */
final class SaveModulePlan
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused when a part takes marks from an assignment of another module
     */
    public function __invoke(Module $module, ModulePlan $plan, User $by): void
    {
        DB::transaction(function () use ($module, $plan, $by): void {
            $stored = Module::query()->lockForUpdate()->findOrFail($module->id);
            $known = $stored->assignments()->whereIn('public_id', $plan->uses())->count();
            $known === count($plan->uses())
                || throw new Refused('An assignment named here is not one of this module. Nothing was changed.');
            if ($stored->mark_plan->toArray() === $plan->toArray()) {
                return;
            }
            $stored->update(['mark_plan' => $plan]);
            $this->logbook->write(
                Entry::of(LogEvent::ModulePlanSaved)->on($stored)->with(parts: count($plan->parts))->by($by),
            );
        });
    }
}
