<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * What a second marker sees of the first mark while marking.
 */
enum SecondView: string
{
    /** Nothing. */
    case Blind = 'blind';

    /** All of it, beside a mark of their own. */
    case Open = 'open';

    /** All of it, to agree with it or propose another. */
    case Check = 'check';
}
