<?php

declare(strict_types=1);

namespace App\Handins;

/**
 * What became of a piece of a file.
 */
enum PieceOutcome
{
    case Taken;

    /** The file goes on at another byte than this piece begins with. */
    case Elsewhere;

    /** The whole is not what was declared: it changed while it was being sent, and was let go. */
    case Changed;
}
