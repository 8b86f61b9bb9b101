<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Enums\ConversationFinding;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * Lines of the logbook as people read them: the sentence of what happened, and the names that belong to random ids,
 * while there are any.
 */
final readonly class Reading
{
    private const SHORT = 160;

    /**
     * @param  array<string, string>  $names  of people, by public id
     * @param  array<string, string>  $titles  of assignments, modules and rubrics, by public id
     */
    private function __construct(
        private array $names,
        private array $titles,
    ) {
    }

    /**
     * @param  iterable<LogbookLine>  $lines
     */
    public static function of(iterable $lines): self
    {
        $people = [];
        $things = [];
        foreach ($lines as $line) {
            $people[] = $line->actor;
            $line->subject_kind === 'person' ? $people[] = $line->subject : $things[] = $line->subject;
            foreach ($line->details as $value) {
                if (is_string($value) && str_starts_with($value, Subject::PERSON)) {
                    $people[] = substr($value, strlen(Subject::PERSON));
                }
            }
        }
        $things = array_values(array_unique(array_filter($things, fn (?string $key) => Str::isUuid($key))));

        return new self(
            User::query()->whereIn('public_id', array_unique(array_filter($people)))->pluck('name', 'public_id')->all(),
            [
                ...Assignment::query()->whereIn('public_id', $things)->pluck('title', 'public_id')->all(),
                ...Rubric::query()->whereIn('public_id', $things)->pluck('title', 'public_id')->all(),
                ...Module::query()->whereIn('public_id', $things)->get()
                    ->mapWithKeys(fn (Module $module) => [$module->public_id => $module->fullTitle()])->all(),
            ],
        );
    }

    public function who(LogbookLine $line): string
    {
        return $line->actor === null ? __('logbook.application') : $this->name($line->actor);
    }

    public function what(LogbookLine $line): string
    {
        $seat = $line->details[LogDetail::Seat->value] ?? null;

        return __(
            "logbook.events.{$line->event->value}", ['seat' => is_string($seat) ? __("logbook.seats.{$seat}") : ''],
        );
    }

    /** What it is about; empty when that is who did it. */
    public function on(LogbookLine $line): string
    {
        return match ($line->subject_kind) {
            null => (string) $line->text(LogText::Title->value),
            'script' => (string) $line->subject,
            'person' => $this->name((string) $line->subject),
            default => $this->titles[(string) $line->subject] ?? __('logbook.gone'),
        };
    }

    /**
     * What is said with it, each as "name: value".
     *
     * @return list<string>
     */
    public function with(LogbookLine $line): array
    {
        $said = [];
        foreach ($line->details as $key => $value) {
            if ($value !== null && $key !== LogDetail::Seat->value) {
                $said[] = __("logbook.details.{$key}").': '.$this->value((string) $key, $value);
            }
        }
        foreach (array_keys($line->texts) as $field) {
            if ($field !== LogText::Title->value || $line->subject_kind !== null) {
                $said[] = __("logbook.texts.{$field}").': '
                    .Str::limit($this->said($line, (string) $field), self::SHORT);
            }
        }

        return $said;
    }

    /** Someone whom a line names among its details. */
    public function person(LogbookLine $line, string $detail): string
    {
        $value = $line->details[$detail] ?? null;

        return is_string($value) ? $this->value($detail, $value) : '';
    }

    /** A free text of a line, or that it was erased. */
    public function said(LogbookLine $line, string $field): string
    {
        return ! isset($line->texts[$field]) ? '' : $line->text($field) ?? '['.__('logbook.erased_text').']';
    }

    private function value(string $key, mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? __('logbook.yes') : __('logbook.no'),
            is_array($value) => implode(
                ', ', array_map(fn (mixed $one) => str_replace('_', ' ', is_scalar($one) ? (string) $one : ''), $value),
            ),
            ! is_string($value) => is_scalar($value) ? (string) $value : '',
            str_starts_with($value, Subject::PERSON) => $this->name(substr($value, strlen(Subject::PERSON))),
            $key === LogDetail::Due->value => LocalTime::shown(Carbon::parse($value, 'UTC')),
            $key === LogDetail::Found->value => ConversationFinding::tryFrom($value)?->short() ?? $value,
            $key === LogDetail::Why->value => __("logbook.why_open.{$value}"),
            in_array($key, [LogDetail::Sha256->value, LogDetail::Hash->value], true) => Str::limit($value, 16),
            default => Str::limit($value, self::SHORT),
        };
    }

    private function name(string $publicId): string
    {
        return $this->names[$publicId] ?? __('logbook.erased_person');
    }
}
