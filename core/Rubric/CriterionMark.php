<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What a marker set on one criterion, and the comment beside it. Whether a criterion can have it, the criterion says.
 */
final readonly class CriterionMark
{
    private const KEYS = ['level', 'between', 'points', 'reason', 'done', 'partly', 'not_applicable', 'comment'];

    /**
     * @param  string|null  $level  id of the level chosen
     * @param  array{string, string}|null  $between  ids of the two levels the pin stands between
     * @param  string|null  $points  a decimal as written
     * @param  string|null  $reason  why points were set by hand; null when they were not
     * @param  list<string>|null  $done  ids of steps; null when nothing was said of them
     * @param  array<string, string>  $partly  points by step
     * @param  bool  $isMore  whether the document it was read from says more than this
     */
    public function __construct(
        public ?string $level = null,
        public ?array $between = null,
        public ?string $points = null,
        public ?string $reason = null,
        public ?array $done = null,
        public array $partly = [],
        public bool $notApplicable = false,
        public string $comment = '',
        public bool $isMore = false,
    ) {
    }

    /**
     * Reads the JSON form.
     *
     * @param  array<array-key, mixed>  $form
     * @param  string  $place  the criterion's id, for faults
     *
     * @throws InvalidInput naming each field that is of another kind
     */
    public static function fromArray(array $form, string $place): self
    {
        $form = array_filter($form, fn (mixed $value) => $value !== null);
        $faults = [];
        $text = function (string $key, string $what) use ($form, $place, &$faults): ?string {
            if (isset($form[$key]) && ! is_string($form[$key])) {
                $faults[] = new Fault("{$place}.{$key}", $what);
            }

            return is_string($form[$key] ?? null) ? $form[$key] : null;
        };
        $ends = $form['between'] ?? null;
        $between = is_array($ends) && count($ends) === 2 && is_string($ends[0] ?? null) && is_string($ends[1] ?? null)
            ? [$ends[0], $ends[1]]
            : null;
        if ($ends !== null && $between === null) {
            $faults[] = new Fault("{$place}.between", 'must name two levels');
        }
        $done = $form['done'] ?? null;
        $partly = $form['partly'] ?? [];
        if (($done !== null && ! is_array($done)) || ! is_array($partly)) {
            $faults[] = new Fault("{$place}.done", 'must be a list of steps');
        }
        if (! is_bool($form['not_applicable'] ?? false)) {
            $faults[] = new Fault("{$place}.not_applicable", 'only an optional criterion can be left out');
        }
        // What is no text is none: the criterion then misses it.
        $words = fn (mixed $value): string => is_string($value) ? $value : '';
        $level = $text('level', 'is not a level of this criterion');
        $points = $text('points', 'must be a number such as "6.5"');
        if ($faults !== []) {
            throw new InvalidInput($faults);
        }
        $parts = [];
        foreach (is_array($partly) ? $partly : [] as $step => $value) {
            $parts[(string) $step] = $words($value);
        }

        return new self(
            $level, $between, $points, isset($form['reason']) ? $words($form['reason']) : null,
            is_array($done) ? array_values(array_map($words, $done)) : ($parts === [] ? null : []), $parts,
            ($form['not_applicable'] ?? false) === true, $words($form['comment'] ?? ''),
            array_diff(array_keys($form), self::KEYS) !== [],
        );
    }

    /**
     * The JSON form: only what was set.
     *
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return array_filter([
            'level' => $this->level, 'between' => $this->between, 'points' => $this->points, 'reason' => $this->reason,
            'done' => $this->done, 'partly' => $this->partly === [] ? null : $this->partly,
            'not_applicable' => $this->notApplicable ? true : null,
            'comment' => $this->comment === '' ? null : $this->comment,
        ], fn (mixed $value) => $value !== null);
    }

    /** Whether nothing is set but perhaps a comment. */
    public function isUnset(): bool
    {
        return $this->withComment('')->toArray() === [] && ! $this->isMore;
    }

    public function isEmpty(): bool
    {
        return $this->isUnset() && $this->comment === '';
    }

    public function withComment(string $comment): self
    {
        return new self(
            $this->level, $this->between, $this->points, $this->reason, $this->done, $this->partly,
            $this->notApplicable, $comment, $this->isMore,
        );
    }

    public function withPoints(string $points): self
    {
        return new self(
            $this->level, $this->between, $points, $this->reason, $this->done, $this->partly, $this->notApplicable,
            $this->comment, $this->isMore,
        );
    }

    /** Whether both set the same, whatever their comments. */
    public function setsTheSame(self $other): bool
    {
        return $this->withComment('')->toArray() == $other->withComment('')->toArray();
    }
}
