<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Plan\AddStarterSet;
use App\Models\User;
use Illuminate\Console\Command;

/**
 * Adds the starter set of rubrics to an institution's library.
 */
final class StarterSet extends Command
{
    protected $signature = 'rubric:starter-set {mail : the e-mail address of the administrator it is added for}';

    protected $description = 'Add the rubrics that come with Young Harbor to the library; those that are there stay as they are';

    public function handle(AddStarterSet $add): int
    {
        $user = User::query()->where('email', User::addressKey((string) $this->argument('mail')))
            ->where('is_admin', true)->first();
        if ($user === null) {
            $this->components->error('No administrator has that e-mail address. Nothing was added.');

            return self::FAILURE;
        }
        $this->components->info($add($user).' rubrics were added.');

        return self::SUCCESS;
    }
}
