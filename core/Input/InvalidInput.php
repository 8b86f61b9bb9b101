<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Input;

/**
 * Input the core cannot work with: every fault with its place, so that all can be mended in one go.
 */
final class InvalidInput extends \DomainException
{
    /**
     * @param  non-empty-list<Fault>  $faults
     */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(implode("\n", array_map(strval(...), $faults)));
    }

    public static function at(string $place, string $what): self
    {
        return new self([new Fault($place, $what)]);
    }
}
