<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Which scripts of an assignment are marked a second time.
 */
enum SecondMarks: string
{
    case None = 'none';
    case Every = 'every';

    /** Those that a rule chooses and draws when their first marks are done ({@see SampleRule}). */
    case Sample = 'sample';
}
