<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a reader who is not satisfied asks for.
 */
enum PackRequest: string
{
    case LargerSample = 'larger-sample';

    /** One marker's scripts marked anew by others. */
    case MarkerAnew = 'marker-anew';
    case Correction = 'correction';
    case Other = 'other';
}
