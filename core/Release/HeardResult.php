<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

/**
 * What of one student's result goes into what the whole cohort should hear.
 */
final readonly class HeardResult
{
    /**
     * @param  array<string, array{title: string, share: float}>  $criteria  by id; what was reached of 1
     * @param  list<array{kind: string, criterion: string|null, bank: string|null}>  $said  praise and fix; criteria by
     *     title, comments of a bank by their key
     */
    public function __construct(public array $criteria, public array $said)
    {
    }
}
