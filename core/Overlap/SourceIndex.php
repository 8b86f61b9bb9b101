<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Where texts that share fingerprints with another are looked up. Shelves keep apart what may be compared with what.
 */
interface SourceIndex
{
    /**
     * Puts a text on a shelf. Putting the same again changes nothing.
     *
     * @param  list<int>  $hashes
     */
    public function put(int $shelf, int $source, array $hashes): void;

    /**
     * @param  list<int>  $hashes  every hash the text may stand under
     */
    public function remove(int $shelf, int $source, array $hashes): void;

    /**
     * How many of some hashes each text on the shelves has. Of a hash that a great many have, only the first of them
     * on each shelf are counted: what they share is found with those.
     *
     * @param  list<int>  $shelves
     * @param  list<int>  $hashes
     * @return array<int, int> hashes in common by source
     */
    public function sharing(array $shelves, array $hashes): array;
}
