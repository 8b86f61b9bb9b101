<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Collect\AddPeople;
use App\Enums\Role;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Makes a module with its first coordinator, who is written to.
 */
final class MakeModule
{
    public function __construct(
        private readonly AddPeople $addPeople,
        private readonly Logbook $logbook,
    ) {
    }

    public function __invoke(string $code, string $title, string $coordinator, string $email, User $by): Module
    {
        return DB::transaction(function () use ($code, $title, $coordinator, $email, $by): Module {
            $themselves = $by->email === User::addressKey($email);
            $module = Module::query()->create(['code' => $code, 'title' => $title]);
            ($this->addPeople)(
                $module, Role::Coordinator,
                [['name' => $coordinator, 'email' => mb_strtolower($email), 'number' => null, 'section' => null]],
            );
            $this->logbook->write(Entry::of(LogEvent::ModuleMade)->on($module)->with(themselves: $themselves)->by($by));

            return $module;
        });
    }
}
