<?php

declare(strict_types=1);

namespace App\FirstFeedback;

use YoungHarbor\Core\FirstFeedback\Answer;

/**
 * An outside service that makes first remarks on a draft.
 */
interface Assistant
{
    /**
     * @param  string  $text  without its author's name
     * @param  list<array{id: string, title: string, levels: list<string>}>  $criteria
     *
     * @throws AssistantUnanswered with the reason, in words for a student
     */
    public function remarksOn(string $text, string $brief, ?int $limit, array $criteria): Answer;
}
