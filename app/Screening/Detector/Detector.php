<?php

declare(strict_types=1);

namespace App\Screening\Detector;

/**
 * An outside service that says how likely it takes a text to be machine-written.
 */
interface Detector
{
    /**
     * @param  string  $text  without its author's name
     *
     * @throws DetectorUnanswered with the reason, in words for a coordinator
     */
    public function judge(string $text, string $language): DetectorAnswer;
}
