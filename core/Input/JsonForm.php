<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Input;

/**
 * A value that is written and read as one JSON document, and checked in one place: where it is read.
 */
interface JsonForm
{
    /** What stands for a document that is not filled yet. */
    public static function usual(): static;

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws InvalidInput naming each place that is wrong
     */
    public static function fromArray(array $document): static;

    /**
     * @return array<string, mixed>
     */
    public function toArray(): array;
}
