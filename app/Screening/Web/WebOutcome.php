<?php

declare(strict_types=1);

namespace App\Screening\Web;

use App\Enums\WebState;

/**
 * What came of looking in the open web.
 */
final readonly class WebOutcome
{
    /**
     * @param  list<int>  $sources  pages that were fetched and kept
     * @param  string|null  $failure  what could not be had, in words
     */
    public function __construct(
        public array $sources,
        public WebState $state,
        public ?string $failure,
    ) {
    }
}
