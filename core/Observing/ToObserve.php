<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

/**
 * A person or a group that is to be observed.
 */
final readonly class ToObserve
{
    /**
     * @param  positive-int  $minutes  their slot: longer where they are allowed more time
     * @param  list<string>  $not  observers who are not to observe them, by id
     */
    public function __construct(public string $id, public int $minutes, public array $not = [])
    {
    }
}
