<?php

declare(strict_types=1);

namespace App\Institution;

/**
 * What merging two accounts would do, or has done.
 */
final readonly class MergeOutcome
{
    /**
     * @param  list<string>  $obstacles  in words; while there are any, nothing is changed
     * @param  list<string>  $taken  module codes that the account that stays newly gets
     * @param  list<string>  $dropped  titles of assignments in which one of two empty places goes
     */
    public function __construct(public array $obstacles, public array $taken, public array $dropped)
    {
    }
}
