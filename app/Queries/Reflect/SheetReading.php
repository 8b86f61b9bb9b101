<?php

declare(strict_types=1);

namespace App\Queries\Reflect;

use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use App\Models\User;
use App\Notices\TellOfSheet;
use YoungHarbor\Core\Release\SharedWords;

/**
 * A sheet as staff read it: who has written, what, and the words that many have in common.
 */
final readonly class SheetReading
{
    private const WORDS = 24;

    /**
     * @param  list<array{student: User, answer: SheetAnswer|null, late: bool}>  $rows  in the order of names
     * @param  array<string, int>  $words  how many people wrote it, by word
     */
    private function __construct(public array $rows, public array $words, public int $done)
    {
    }

    public static function of(ReflectionSheet $sheet): self
    {
        $answers = SheetAnswer::query()->where('sheet_id', $sheet->id)->get()->keyBy('user_id');
        $rows = [];
        foreach (TellOfSheet::students($sheet) as $student) {
            $answer = $answers->get($student->id);
            // What is not done yet is still its author's own.
            $done = $answer?->done_at === null ? null : $answer;
            $rows[] = ['student' => $student, 'answer' => $done, 'late' => $done?->done_at?->gt($sheet->due_at) === true];
        }
        $read = array_values(array_filter(array_column($rows, 'answer')));

        return new self($rows, SharedWords::of(array_map(
            fn (SheetAnswer $one) => implode("\n", array_column($one->answers, 'text')), $read,
        ), $sheet->settings->prompts, self::WORDS), count($read));
    }
}
