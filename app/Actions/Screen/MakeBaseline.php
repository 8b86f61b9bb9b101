<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\User;
use App\Models\WritingBaseline;
use Illuminate\Support\Facades\DB;

/**
 * Makes a baseline, without texts so far.
 */
final class MakeBaseline
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Module $module, string $name, string $language, User $by): WritingBaseline
    {
        return DB::transaction(function () use ($module, $name, $language, $by): WritingBaseline {
            if (WritingBaseline::query()->where('module_id', $module->id)->where('name', $name)->exists()) {
                throw new Refused('There is a baseline of that name already.', 'name');
            }
            $baseline = WritingBaseline::query()
                ->create(
                    ['module_id' => $module->id, 'name' => $name, 'language' => $language, 'worked_out_version' => 1]
                )
                ->refresh();
            $this->logbook->write(
                Entry::of(LogEvent::BaselineMade)->in($module)->saying(title: $name, language: $language)->by($by)
            );

            return $baseline;
        });
    }
}
