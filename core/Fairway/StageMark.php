<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Fairway;

use YoungHarbor\Core\Stage;

/**
 * One stage on the fairway: how far it is, whether something there needs the reader, and its counts in words.
 */
final readonly class StageMark
{
    public function __construct(
        public Stage $stage,
        public StageProgress $progress,
        public string $note,
        public bool $needsYou = false,
    ) {
    }
}
