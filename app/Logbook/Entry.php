<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Assignment;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\Script;
use App\Models\User;
use BackedEnum;
use LogicException;

/**
 * A line of the logbook before it is written. Reads as a sentence:
 *
 *     Entry::of(LogEvent::ScriptHeld)->on($script)->with(mark: '62')->because($reason)->by($coordinator)
 *
 * A line about a script carries its code and nothing that leads to its student; a person is known by a random id. What
 * people typed stands beside the line, where it can be erased.
 */
final class Entry
{
    public ?Subject $subject = null;

    public ?Module $module = null;

    public ?Assignment $assignment = null;

    public ?User $by = null;

    /** @var array<string, scalar|null|array<array-key, scalar|null>> */
    public array $details = [];

    /** @var array<string, string> by field */
    public array $texts = [];

    private function __construct(public readonly LogEvent $event)
    {
    }

    public static function of(LogEvent $event): self
    {
        return new self($event);
    }

    /** What it is about; where that is follows from it. */
    public function on(Script|Assignment|Module|Rubric|User $subject): self
    {
        $this->subject = Subject::of($subject);
        match (true) {
            $subject instanceof Script => $this->in($subject->assignment),
            $subject instanceof Assignment, $subject instanceof Module => $this->in($subject),
            $subject instanceof Rubric => $subject->module === null ? $this : $this->in($subject->module),
            $subject instanceof User => $this,
        };

        return $this;
    }

    /** Whose logbook it stands in. */
    public function in(Module|Assignment|null $place): self
    {
        $this->assignment = $place instanceof Assignment ? $place : $this->assignment;
        $this->module = $place instanceof Assignment ? $place->module : $place ?? $this->module;

        return $this;
    }

    /**
     * Figures, keys and people.
     *
     * @param  scalar|BackedEnum|User|null|array<array-key, scalar|null>  ...$details  by the keys of {@see LogDetail}
     */
    public function with(mixed ...$details): self
    {
        foreach ($details as $key => $value) {
            $known = LogDetail::tryFrom((string) $key)
                ?? throw new LogicException("“{$key}” is no detail that the logbook knows.");
            $this->details[$known->value] = match (true) {
                $value instanceof BackedEnum => $value->value,
                $value instanceof User => Subject::PERSON.$value->public_id,
                default => $value,
            };
        }

        return $this;
    }

    /** The reason someone gave. */
    public function because(?string $reason): self
    {
        return $this->saying(reason: $reason);
    }

    /** What people typed: titles, names of files, reasons. It can be erased later without breaking the chain. */
    public function saying(?string ...$texts): self
    {
        foreach ($texts as $field => $text) {
            LogText::tryFrom((string) $field)
                ?? throw new LogicException("“{$field}” is no text that the logbook knows.");
            if ($text !== null && $text !== '') {
                $this->texts[(string) $field] = $text;
            }
        }

        return $this;
    }

    /** Who did it, where that is not whoever is signed in. */
    public function by(?User $person): self
    {
        $this->by = $person;

        return $this;
    }
}
