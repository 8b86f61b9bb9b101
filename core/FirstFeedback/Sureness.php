<?php

declare(strict_types=1);

namespace YoungHarbor\Core\FirstFeedback;

/**
 * How sure an assistant says it is of a remark.
 */
enum Sureness: string
{
    case High = 'high';
    case Middle = 'middle';
    case Low = 'low';
}
