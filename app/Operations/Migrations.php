<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;

/**
 * How the database stands to the code: its last change, and how many are still to be made.
 */
final class Migrations
{
    public function __construct(private readonly Migrator $migrator)
    {
    }

    public function databaseVersion(): string
    {
        return (string) DB::scalar('SELECT VERSION()');
    }

    public function last(): ?string
    {
        $ran = $this->ran();

        return $ran === [] ? null : $ran[count($ran) - 1];
    }

    public function pending(): int
    {
        $all = array_keys($this->migrator->getMigrationFiles([database_path('migrations')]));

        return count(array_diff($all, $this->ran()));
    }

    /**
     * @return list<string>
     */
    private function ran(): array
    {
        return $this->migrator->repositoryExists()
            ? array_values(array_map(strval(...), $this->migrator->getRepository()->getRan())) : [];
    }
}
