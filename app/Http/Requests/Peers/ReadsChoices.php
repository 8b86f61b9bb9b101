<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\Rubric;

/**
 * Reads what was set on each criterion of a rubric from a form with a part for each, and the comment beside it.
 */
trait ReadsChoices
{
    /**
     * @throws ValidationException naming each criterion that is wrong
     */
    protected function choicesOn(Rubric $rubric): CriterionMarks
    {
        $choices = CriterionMarks::usual();
        $faults = [];
        foreach ($rubric->criteria as $criterion) {
            $form = $this->input('marks.'.$criterion->id());
            $form = is_array($form) ? $form : [];
            $comment = is_string($form['comment'] ?? null) ? trim($form['comment']) : '';
            try {
                $choices = $choices->with(
                    $criterion->id(),
                    MarkForm::mark($criterion, array_diff_key($form, ['comment' => true]))->withComment($comment),
                );
            } catch (InvalidInput $e) {
                $faults[] = $criterion->title().': '.implode('; ', array_map(fn (Fault $one) => $one->what, $e->faults)).'.';
            }
        }
        $faults === [] || throw ValidationException::withMessages(['marks' => $faults]);

        return $choices;
    }
}
