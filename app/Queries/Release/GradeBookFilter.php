<?php

declare(strict_types=1);

namespace App\Queries\Release;

use Illuminate\Http\Request;

/**
 * Which rows of a grade book are asked for, and in which order.
 */
final readonly class GradeBookFilter
{
    public const STATES = ['in', 'late', 'released', 'unread', 'held', 'not-in', 'overdue', 'decided'];

    /**
     * @param  string  $section  "" for all
     * @param  string  $in  the assignment that state, band and order are about; "" for any, and for the module mark
     * @param  string  $state  one of STATES, or ""
     * @param  string  $band  of that assignment, or of the module mark; "" for all
     * @param  bool  $needsMe  those alone for whom a coordinator has something to decide
     * @param  string  $sort  name, number, section or mark
     */
    public function __construct(
        public string $section = '', public string $in = '', public string $state = '', public string $band = '',
        public bool $needsMe = false, public string $sort = 'name', public bool $isDescending = false,
        public int $page = 1,
    ) {
    }

    /** What is not known is as if it were not asked for. */
    public static function from(Request $request): self
    {
        $text = fn (string $key): string => is_string($value = $request->query($key)) ? mb_substr($value, 0, 60) : '';
        $state = $text('state');
        $sort = $text('sort');

        return new self(
            $text('section'), $text('in'), in_array($state, self::STATES, true) ? $state : '', $text('band'),
            $text('needs') === 'me', in_array($sort, ['number', 'section', 'mark'], true) ? $sort : 'name',
            $text('way') === 'down', max(1, (int) $text('page')),
        );
    }

    public function isAll(): bool
    {
        return $this->section === '' && $this->state === '' && $this->band === '' && ! $this->needsMe;
    }

    /**
     * As an address has it; what is as usual is left out.
     *
     * @param  array<string, string|int|null>  $change
     * @return array<string, string|int>
     */
    public function query(array $change = []): array
    {
        return array_filter([
            'section' => $this->section, 'in' => $this->in, 'state' => $this->state, 'band' => $this->band,
            'needs' => $this->needsMe ? 'me' : '', 'sort' => $this->sort === 'name' ? '' : $this->sort,
            'way' => $this->isDescending ? 'down' : '', 'page' => $this->page === 1 ? '' : $this->page, ...$change,
        ], fn (mixed $value) => $value !== '' && $value !== null);
    }

    /**
     * The address that orders by a column, the other way round where it is ordered by it already.
     *
     * @return array<string, string|int>
     */
    public function sortedBy(string $sort, string $in): array
    {
        $isIt = $this->sort === $sort && ($sort !== 'mark' || $this->in === $in);

        // Of marks one looks for the lowest first, which are those to talk about.
        return $this->query([
            'sort' => $sort === 'name' ? '' : $sort, 'way' => $isIt && ! $this->isDescending ? 'down' : '', 'page' => '',
            'in' => $sort === 'mark' ? $in : $this->in,
        ]);
    }
}
