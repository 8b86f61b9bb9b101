<?php

declare(strict_types=1);

namespace App\Operations;

/**
 * How a part of the application does.
 */
enum PartState: string
{
    case Works = 'works';
    /** It can be used, and someone should look. */
    case Look = 'look';
    case Down = 'down';
}
