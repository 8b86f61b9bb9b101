<?php

declare(strict_types=1);

namespace App\Screening\Web;

/**
 * A search of the open web, and the pages it names. Sequences of a few words go out, and nothing else of a script.
 */
interface WebSearch
{
    /**
     * @return list<string> addresses of pages that hold these words, most promising first
     *
     * @throws WebUnanswered
     */
    public function search(string $phrase): array;

    /**
     * @throws WebUnanswered when the page cannot be had, is too large or holds no text
     */
    public function fetch(string $url): WebPage;
}
