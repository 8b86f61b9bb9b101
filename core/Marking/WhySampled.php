<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Why a script is marked a second time.
 */
enum WhySampled: string
{
    /** Below the second band. */
    case Fail = 'fail';

    /** In the last band. */
    case Top = 'top band';

    /** Within so many marks of a boundary. */
    case Near = 'near';

    /** By lot. */
    case Drawn = 'drawn';

    /** A person asked for it, with a reason. */
    case Asked = 'asked for';
}
