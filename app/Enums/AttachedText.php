<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * The text of what is attached to a reply or a review, made anew without names for those who are not to know them.
 */
enum AttachedText: string
{
    /** Nothing is attached, or nothing with a text that can be read. */
    case None = 'none';
    case Waits = 'waits';
    case Made = 'made';
}
