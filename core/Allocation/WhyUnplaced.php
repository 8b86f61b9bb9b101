<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Why there is nobody for a mark. Each comes with figures of its own ({@see UnplacedMark::$figures}).
 */
enum WhyUnplaced: string
{
    /** Figures: `markers`, how many there are, and for each {@see MarkerObstacle} that holds, how many it keeps away. */
    case NobodyLeft = 'nobody-left';

    /** Groups are kept together, and no marker may have every script of this one. No figures. */
    case GroupTogether = 'group-together';

    /** Figures: `short` reviews of `each` cannot be placed; `outside` authors are outside its author's group. */
    case TooFewOutside = 'too-few-outside';

    /** Figures: `short` reviews of `each` cannot be placed. */
    case GroupTooLarge = 'group-too-large';
}
