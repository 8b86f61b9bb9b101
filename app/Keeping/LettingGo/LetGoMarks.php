<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Actions\Screen\TakeOffShelf;
use App\Models\Assignment;
use Illuminate\Support\Facades\DB;

/**
 * All that is left of the work of an assignment: scripts with marks, results and whatever stands with them. The plan
 * stays, with how many there were and how the marks lay; the logbook keeps its own time. Once nothing is left of a
 * module's work its module marks, notes and board sheets go too, and students are in it no longer.
 */
final readonly class LetGoMarks implements LettingGo
{
    /** Fewer marks than this tell too much of each. */
    private const ENOUGH = 10;

    private const RESULTS = 'result_id IN (SELECT id FROM results WHERE script_id IN (%s))';

    private const PACKED = 'pack_script_id IN (SELECT id FROM pack_scripts WHERE script_id IN (%s))';

    private const REVIEWED = 'mark_id IN (SELECT id FROM marks WHERE script_id IN (%s))'
        .' OR round_work_id IN (SELECT id FROM round_works WHERE script_id IN (%s))'
        .' OR round_member_id IN (SELECT id FROM round_members WHERE script_id IN (%s))';

    private const TRIED = 'round_member_id IN (SELECT id FROM round_members WHERE script_id IN (%s))';

    private const FILES = [
        ['handin_files', 'path', OfScripts::HANDINS], ['handin_files', 'pages_path', OfScripts::HANDINS],
        ['handin_copies', 'path', OfScripts::HANDINS], ['post_files', 'path', OfScripts::POSTS],
        ['mark_attachments', 'path', OfScripts::MARKS], ['observation_files', 'path', OfScripts::MARKS],
        ['reviews', 'file_path', OfScripts::SCRIPTS], ['replies', 'file_path', OfScripts::THREADS],
    ];

    /** In an order in which nothing leads to what is gone. A test looks whether all that belongs to scripts is here. */
    public const TABLES = [
        ['overlap_reports', OfScripts::HANDINS], ['writing_reports', OfScripts::HANDINS],
        ['comment_views', self::RESULTS], ['reviews', OfScripts::SCRIPTS], ['reply_readings', OfScripts::THREADS],
        ['replies', OfScripts::THREADS], ['reply_threads', OfScripts::SCRIPTS], ['feedback_ratings', OfScripts::SCRIPTS],
        ['reflections', OfScripts::SCRIPTS], ['pack_notes', self::PACKED], ['pack_scripts', OfScripts::SCRIPTS],
        ['sampled_scripts', OfScripts::SCRIPTS], ['peer_reviews', self::REVIEWED], ['trial_marks', self::TRIED],
        ['round_works', OfScripts::SCRIPTS], ['round_members', OfScripts::SCRIPTS],
        ['contribution_ratings', 'rater_id IN (%s) OR rated_id IN (%s)'], ['contribution_factors', OfScripts::SCRIPTS],
        ['observation_events', OfScripts::MARKS], ['observation_files', OfScripts::MARKS],
        ['mark_attachments', OfScripts::MARKS], ['mark_comments', OfScripts::MARKS], ['settlements', OfScripts::SCRIPTS],
        ['proposals', OfScripts::SCRIPTS], ['settle_messages', OfScripts::SCRIPTS], ['prepared_results', OfScripts::SCRIPTS],
        ['results', OfScripts::SCRIPTS], ['individual_cases', OfScripts::SCRIPTS],
        ['conversation_people', OfScripts::SCRIPTS], ['conversation_entries', OfScripts::SCRIPTS],
        ['first_feedback', OfScripts::SCRIPTS], ['draft_checks', OfScripts::SCRIPTS], ['typed_texts', OfScripts::SCRIPTS],
        ['participations', OfScripts::SCRIPTS], ['marks', OfScripts::SCRIPTS],
        ['slot_swaps', 'slot_id IN (SELECT id FROM slots WHERE script_id IN (%s)) OR other_id IN (SELECT id FROM slots WHERE script_id IN (%s))'],
        ['slot_observers', 'slot_id IN (SELECT id FROM slots WHERE script_id IN (%s))'], ['slots', OfScripts::SCRIPTS],
        ['handin_files', OfScripts::HANDINS], ['handin_copies', OfScripts::HANDINS], ['handins', OfScripts::SCRIPTS],
        ['works', OfScripts::SCRIPTS],
    ];

    /** What is of the assignment, and of nobody's script, and tells of people or of marks. */
    private const OF_ASSIGNMENT = [
        'agreement_reports', 'allocation_plans', 'corrections', 'samples', 'releases', 'extensions', 'uploads', 'messages', 'notices',
    ];

    public function __construct(private TakeOffShelf $shelf)
    {
    }

    public function isThere(): string
    {
        return 'TRUE';
    }

    public function isWhole(): bool
    {
        return true;
    }

    public function __invoke(Assignment $assignment, array $scripts): Gone
    {
        $of = new OfScripts($scripts);
        $posts = 'post_id IN (SELECT posts.id FROM posts JOIN topics ON topics.id = posts.topic_id WHERE topics.assignment_id = '.$assignment->id.')';
        $talk = 'topic_id IN (SELECT id FROM topics WHERE assignment_id = '.$assignment->id.')';
        $paths = [
            ...$of->paths([...self::FILES, ['post_files', 'path', $posts]]), ...$of->drawnResults(),
            ...DB::table('uploads')->where('assignment_id', $assignment->id)->pluck('public_id')
                ->map(fn (mixed $id) => "uploads/{$id}")->all(),
        ];
        $kept = $this->figures($of, count($scripts));
        ($this->shelf)($of->rows('handins', OfScripts::SCRIPTS)->pluck('id')->map(intval(...))->all());
        // What leads in a circle.
        $of->rows('scripts', 'id IN (%s)')->update(['current_handin_id' => null, 'lead_id' => null]);
        $of->rows('pack_notes', self::PACKED)->update(['answers_id' => null]);
        $of->rows('posts', $talk)->update(['parent_id' => null, 'thread_id' => null]);
        $of->delete([
            ['post_files', $posts], ['post_versions', $posts], ['post_flags', $posts], ['topic_readers', $talk], ['posts', $talk],
            ...self::TABLES,
        ]);
        foreach (self::OF_ASSIGNMENT as $table) {
            DB::table($table)->where('assignment_id', $assignment->id)->delete();
        }
        $of->rows('scripts', 'id IN (%s)')->delete();
        $assignment->forceFill(['let_go_at' => now(), 'names_revealed_at' => null])->save();
        $this->module($assignment->module_id);

        return new Gone([...$kept, 'files' => count($paths)], array_values($paths));
    }

    /**
     * @return array<string, int|float> how many, and how the marks lay where they were enough
     */
    private function figures(OfScripts $of, int $scripts): array
    {
        $marks = $of->rows('results', OfScripts::SCRIPTS)->whereNull('replaced_at')->whereNotNull('mark')
            ->selectRaw('COUNT(*) AS n, AVG(mark) AS mean, STDDEV_SAMP(mark) AS spread')->first();
        [$n, $mean, $spread] = [(int) $marks?->n, (float) $marks?->mean, (float) $marks?->spread];

        return [
            'scripts' => $scripts, 'results' => $n,
            ...($n < self::ENOUGH ? [] : [
                'mean' => round($mean, 1), 'spread' => round($spread, 1),
            ]),
        ];
    }

    private function module(int $module): void
    {
        $isEmpty = DB::table('assignments')->where('module_id', $module)->whereNull('let_go_at')->doesntExist();
        if ($isEmpty) {
            $students = DB::table('memberships')->where('module_id', $module)->where('role', 'student');
            foreach (['module_marks', 'member_notes'] as $table) {
                DB::table($table)->whereIn('membership_id', $students->clone()->select('id'))->delete();
            }
            foreach (['board_sheets', 'allowances', 'conflicts'] as $table) {
                DB::table($table)->where('module_id', $module)->delete();
            }
            $students->delete();
        }
    }
}
