<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\Rubric;
use RuntimeException;

/**
 * Two people worked on one rubric: someone saved after this editor had opened it. Nothing was overwritten.
 */
final class SavedMeanwhile extends RuntimeException
{
    /**
     * @param  array<string, mixed>  $mine  what could not be saved
     */
    public function __construct(
        public readonly Rubric $theirs,
        public readonly array $mine,
    ) {
        parent::__construct("{$theirs->savedBy->name} saved this rubric while you were working on it.");
    }
}
