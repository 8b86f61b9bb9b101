<?php

declare(strict_types=1);

namespace App\Actions\FirstFeedback;

use App\Enums\AskedState;
use App\FirstFeedback\Assistant;
use App\FirstFeedback\AssistantUnanswered;
use App\Handins\WorkReader;
use App\Models\FirstFeedback;
use YoungHarbor\Core\FirstFeedback\Remark;
use YoungHarbor\Core\Marks\LengthRule;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\Level;
use YoungHarbor\Core\Rubric\LevelCriterion;

/**
 * Sends a draft to the outside assistant, without its author's name, and keeps what it remarks, or why there is nothing.
 */
final class TakeRemarks
{
    public function __construct(private readonly Assistant $assistant)
    {
    }

    public function __invoke(FirstFeedback $asked): void
    {
        if ($asked->state !== AskedState::Asked) {
            return;
        }
        $assignment = $asked->script->assignment;
        $text = Mask::hideAll(
            WorkReader::masks($asked->script->group()->pluck('student')->all()), $asked->draft->text,
        );
        try {
            $answer = $this->assistant->remarksOn(
                $text, $assignment->brief, $assignment->length_rule === null
                    ? null : LengthRule::fromArray($assignment->length_rule)->limit,
                array_map(self::told(...), $assignment->rubricVersion?->toCore()->scored() ?? []),
            );
            $asked->update([
                'state' => AskedState::Answered, 'assistant' => $answer->assistant, 'simulated' => $answer->simulated,
                'remarks' => array_map(fn (Remark $one) => $one->toArray(), $answer->remarks),
                'cannot_see' => $answer->cannotSee, 'failure' => null,
            ]);
        } catch (AssistantUnanswered $e) {
            $asked->update(['state' => AskedState::Failed, 'failure' => mb_substr($e->getMessage(), 0, 300)]);
        }
    }

    /**
     * @return array{id: string, title: string, levels: list<string>}
     */
    private static function told(Criterion $criterion): array
    {
        return [
            'id' => $criterion->id(), 'title' => $criterion->title(),
            'levels' => $criterion instanceof LevelCriterion
                ? array_values(array_map(
                    fn (Level $level) => $level->descriptor,
                    array_filter($criterion->levels, fn (Level $level) => $level->used),
                )) : [],
        ];
    }
}
