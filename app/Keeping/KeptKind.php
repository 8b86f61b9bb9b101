<?php

declare(strict_types=1);

namespace App\Keeping;

/**
 * A kind of thing that is kept of people: where it stands, which rows are somebody's, and what of them is handed over.
 */
final readonly class KeptKind
{
    /**
     * @param  string  $name  a key of lang/en/keeping.php, kinds
     * @param  string  $rows  SQL that finds a person's rows; each ? is the person
     * @param  list<string>  $columns  that are handed over; others are of other people, or secret
     * @param  bool  $shown  whether the person may see it now, or only an administrator hands it over
     * @param  string|null  $file  the column with the path of a file that goes with it
     * @param  string|null  $fileName  the column with what the file is called
     */
    public function __construct(
        public string $name, public string $table, public string $rows, public array $columns,
        public bool $shown = true,
        public ?string $file = null, public ?string $fileName = null,
    ) {
    }
}
