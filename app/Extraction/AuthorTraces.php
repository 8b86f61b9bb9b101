<?php

declare(strict_types=1);

namespace App\Extraction;

use YoungHarbor\Core\Document\Masking;

/**
 * Where a hand-in names its author, and what became of that.
 */
final class AuthorTraces
{
    public const HIDDEN = 'hidden';

    public const TAKEN_OUT = 'taken out';

    /** A family name alone may be a source: it stays, and the coordinator is told. */
    public const POINTED_OUT = 'pointed out';

    public const TEXT = 'text';

    public const HEADS = 'running heads';

    public const ADDRESSES = 'addresses of links';

    public const FILE_NAME = 'name of the file';

    public const ALONE = 'family name alone';

    public const PAGES = 'pages';

    public const PICTURES = 'pictures';

    /** @var array<string, array{place: string, fate: string, times: int, around?: list<string>}> */
    private array $found = [];

    /**
     * @param  list<array{place: string, fate: string, times: int, around?: list<string>}>  $found
     */
    public function __construct(array $found = [])
    {
        $this->found = array_column($found, null, 'place');
    }

    public function add(string $place, string $fate, int $times = 1): void
    {
        if ($times > 0) {
            $this->found[$place] = [
                'place' => $place, 'fate' => $fate, 'times' => ($this->found[$place]['times'] ?? 0) + $times,
            ];
        }
    }

    public function addMasking(Masking $masking): void
    {
        $this->add(self::TEXT, self::HIDDEN, $masking->hidden);
        $this->add(self::HEADS, self::TAKEN_OUT, $masking->heads);
        $this->add(self::ADDRESSES, self::TAKEN_OUT, $masking->addresses);
        if ($masking->lone !== []) {
            $before = $this->found[self::ALONE]['around'] ?? [];
            $this->found[self::ALONE] = [
                'place' => self::ALONE, 'fate' => self::POINTED_OUT, 'times' => count($before) + count($masking->lone),
                'around' => [...$before, ...$masking->lone],
            ];
        }
    }

    public function forget(string $place): void
    {
        unset($this->found[$place]);
    }

    public function times(string $place): int
    {
        return $this->found[$place]['times'] ?? 0;
    }

    /**
     * @return list<array{place: string, fate: string, times: int, around?: list<string>}>
     */
    public function all(): array
    {
        return array_values($this->found);
    }
}
