<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\Assignment;
use App\Models\Concerns\ReadsJoinedRow;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Module;
use App\Models\RubricVersion;
use App\Models\Script;
use Illuminate\Database\Eloquent\Model;
use YoungHarbor\Core\Marking\Seat;

/**
 * A mark with all that a desk needs of it, read in one journey to the database: script, assignment, module, what is
 * marked, and the rubric; and whether there is anything to ask for besides.
 */
final readonly class DeskMark
{
    use ReadsJoinedRow;

    /**
     * @param  bool  $hasAttachments  whether files or recordings are attached to it
     * @param  bool  $hasLevelNotes  whether markers wrote notes on levels of the assignment
     * @param  bool  $hasRounds  whether students review or rate in the assignment
     * @param  bool  $hasLaterPosts  whether its writer went on in the discussion after what is marked was frozen
     * @param  bool  $hasTogether  whether its marker marked the script together with the others
     */
    private function __construct(
        public Mark $mark, public bool $hasAttachments, public bool $hasLevelNotes, public bool $hasRounds,
        public bool $hasLaterPosts, public bool $hasTogether,
    ) {
    }

    public static function of(Mark $mark): self
    {
        $found = self::joinedRow(
            'SELECT script.*, assignment.*, module.*, work.*, version.*,'
            .' EXISTS(SELECT 1 FROM mark_attachments WHERE mark_id = ?) AS attachments,'
            ." EXISTS(SELECT 1 FROM level_notes WHERE assignment_id = assignment.id AND text != '') AS level_notes,"
            .' EXISTS(SELECT 1 FROM rounds WHERE assignment_id = assignment.id AND given_at IS NOT NULL) AS rounds,'
            .' EXISTS(SELECT 1 FROM participations AS part JOIN posts ON posts.script_id = part.script_id'
            .' AND posts.id > part.frozen_to AND posts.taken_back_at IS NULL WHERE part.script_id = script.id) AS later,'
            .' EXISTS(SELECT 1 FROM marks WHERE script_id = script.id AND marker_id = ? AND seat = ?) AS together'
            .' FROM scripts AS script JOIN assignments AS assignment ON assignment.id = script.assignment_id'
            .' JOIN modules AS module ON module.id = assignment.module_id'
            .' JOIN handins AS work ON work.id = ? JOIN rubric_versions AS version ON version.id = ?'
            .' WHERE script.id = ?',
            [
                $mark->id, $mark->marker_id, Seat::Together->value, $mark->work_id, $mark->rubric_version_id,
                $mark->script_id,
            ],
        );
        $fill = fn (Model $model, string $table): Model => $model->newFromBuilder($found[$table] ?? []);
        $assignment = $fill(new Assignment, 'assignment')->setRelation('module', $fill(new Module, 'module'));
        $mark->setRelation('script', $fill(new Script, 'script')->setRelation('assignment', $assignment));
        $mark->setRelation('handin', $fill(new Handin, 'work'));
        $mark->setRelation('rubricVersion', $fill(new RubricVersion, 'version'));
        $facts = $found[''] ?? [];

        return new self(
            $mark, (bool) ($facts['attachments'] ?? true), (bool) ($facts['level_notes'] ?? true),
            (bool) ($facts['rounds'] ?? true), (bool) ($facts['later'] ?? true), (bool) ($facts['together'] ?? true),
        );
    }
}
