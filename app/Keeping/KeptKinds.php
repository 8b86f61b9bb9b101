<?php

declare(strict_types=1);

namespace App\Keeping;

/**
 * All that is kept of people. A table that is new has its place here, or among those that hold nothing of anybody: a
 * test looks.
 */
final class KeptKinds
{
    private const OWN = 'script_id IN (SELECT id FROM scripts WHERE student_id = ?)';

    /** A group hands in for all its members. */
    private const HANDED_IN = 'script_id IN (SELECT id FROM scripts WHERE student_id = ? UNION SELECT lead_id FROM scripts WHERE student_id = ?)';

    /** Marks and what led to them are shown with the results, not before. */
    private const OUT = 'script_id IN (SELECT scripts.id FROM scripts JOIN assignments ON assignments.id = scripts.assignment_id WHERE student_id = ? AND assignments.results_out_at IS NOT NULL)';

    /** What holds nothing of a person, or only what follows from what stands elsewhere. */
    public const NOBODYS = [
        // of assignments, modules and rubrics
        'agreement_reports', 'allocation_plans', 'assignments', 'assignment_templates', 'board_sheets', 'closure_days',
        'contributions', 'grade_scales', 'institution', 'modules', 'observation_grounds', 'reflection_sheets', 'releases',
        'rounds', 'rubrics', 'rubric_editors', 'rubric_steps', 'rubric_versions', 'samples', 'sampled_scripts',
        'sample_packs', 'pack_scripts', 'topics', 'trial_scripts', 'writing_baselines', 'corrections', 'messages',
        // made anew from what is kept, and worked out again when it changes
        'handin_copies', 'overlap_choices', 'overlap_matches', 'overlap_prints', 'overlap_sources', 'prepared_results',
        'proposals', 'round_works', 'settlements', 'works', 'writing_texts', 'comment_views', 'conversation_people',
        'contribution_factors', 'pack_notes',
        // of the application
        'cache', 'cache_locks', 'failed_jobs', 'jobs', 'migrations', 'operations', 'logbook_head', 'logbook_texts',
        'erasures', 'keeping_decisions', 'password_reset_tokens', 'recovery_codes', 'sign_in_links', 'roster_imports',
    ];

    /**
     * @return list<KeptKind>
     */
    public static function all(): array
    {
        return array_merge(...array_values(self::groups()));
    }

    /**
     * @return array<string, list<KeptKind>> by a key of lang/en/keeping.php, groups
     */
    public static function groups(): array
    {
        return [
            'account' => self::ofAccounts(), 'work' => self::ofWork(), 'results' => self::ofResults(),
            'talk' => self::ofTalk(), 'staff' => self::ofStaff(),
        ];
    }

    /**
     * @return list<KeptKind>
     */
    private static function ofAccounts(): array
    {
        return [
            new KeptKind('account', 'users', 'id = ?', [
                'name', 'email', 'number', 'given_name', 'family_name', 'former_names', 'roster_id', 'theme', 'daily_mail', 'no_reminders',
                'desk', 'joined_at', 'signed_in_at', 'second_since', 'closed_at', 'created_at',
            ]),
            new KeptKind('places', 'sessions', 'user_id = ?', ['ip_address', 'user_agent', 'last_activity']),
            new KeptKind('modules', 'memberships', 'user_id = ?', ['module_id', 'role', 'section', 'candidate_number', 'left_at', 'created_at']),
            new KeptKind('notices', 'notices', 'user_id = ?', ['title', 'subject', 'body', 'read_at', 'sent_at', 'created_at']),
            new KeptKind('logbook', 'logbook_lines', '(actor = (SELECT public_id FROM users WHERE id = ?) OR (subject_kind = \'person\' AND subject = (SELECT public_id FROM users WHERE id = ?)))', ['number', 'at', 'event', 'details'], shown: false),
        ];
    }

    /**
     * @return list<KeptKind>
     */
    private static function ofWork(): array
    {
        $file = ['original_name', 'kind', 'bytes', 'sha256', 'words', 'link'];

        return [
            new KeptKind('assignments', 'scripts', 'student_id = ?', [
                'assignment_id', 'group_name', 'received_at', 'late', 'due_at', 'brief_opened_at', 'template_taken_at', 'left_at', 'waived_reason', 'waived_at',
            ]),
            new KeptKind('handins', 'handins', self::HANDED_IN, [
                'script_id', 'attempt', 'received_at', 'due_at', 'late', 'words', 'declaration', 'notes', 'unreadable', 'sha256', 'seal',
            ]),
            new KeptKind('files', 'handin_files', 'handin_id IN (SELECT id FROM handins WHERE '.self::HANDED_IN.')', $file, file: 'path', fileName: 'original_name'),
            new KeptKind('drafts', 'draft_checks', 'student_id = ?', ['script_id', 'words', 'text', 'notes', 'created_at']),
            new KeptKind('first_feedback', 'first_feedback', 'student_id = ?', ['script_id', 'assistant', 'remarks', 'used', 'shared_at', 'created_at']),
            new KeptKind('typed', 'typed_texts', 'student_id = ?', ['script_id', 'text', 'updated_at']),
            new KeptKind('uploads', 'uploads', 'student_id = ?', ['assignment_id', 'name', 'bytes', 'first_at', 'whole_at']),
            new KeptKind('overlap', 'overlap_reports', 'handin_id IN (SELECT id FROM handins WHERE '.self::OUT.')', ['words', 'matched', 'share', 'finished_at'], shown: false),
            new KeptKind('writing', 'writing_reports', 'handin_id IN (SELECT id FROM handins WHERE '.self::OUT.')', ['state', 'words', 'at_least', 'among', 'found', 'measured_at'], shown: false),
            new KeptKind('conversations', 'conversation_entries', self::OWN.' AND student_sees = 1', ['script_id', 'found', 'why', 'questions', 'seen', 'student_read_at', 'created_at']),
            new KeptKind('conversations_unseen', 'conversation_entries', self::OUT.' AND student_sees = 0', ['script_id', 'found', 'why', 'questions', 'seen', 'created_at'], shown: false),
        ];
    }

    /**
     * @return list<KeptKind>
     */
    private static function ofResults(): array
    {
        return [
            new KeptKind('results', 'results', self::OWN, [
                'script_id', 'version', 'mark', 'band', 'document', 'what_changed', 'released_at', 'replaced_at', 'first_opened_at', 'last_opened_at', 'openings', 'seconds_open',
            ]),
            new KeptKind('module_marks', 'module_marks', 'membership_id IN (SELECT id FROM memberships WHERE user_id = ?)', ['module_id', 'mark', 'band', 'passed', 'why'], shown: false),
            new KeptKind('allowances', 'allowances', 'student_id = ?', ['module_id', 'extra_days', 'extra_percent', 'reason', 'created_at', 'ended_at']),
            new KeptKind('extensions', 'extensions', 'student_id = ?', ['assignment_id', 'due_at', 'reason', 'created_at', 'ended_at']),
            new KeptKind('cases', 'individual_cases', self::OWN, ['script_id', 'kind', 'reason', 'created_at', 'ended_at', 'ended_reason'], shown: false),
            new KeptKind('member_notes', 'member_notes', 'membership_id IN (SELECT id FROM memberships WHERE user_id = ?) AND student_reads = 1 AND taken_back_at IS NULL', ['body', 'created_at']),
            new KeptKind('member_notes_unseen', 'member_notes', 'membership_id IN (SELECT id FROM memberships WHERE user_id = ?) AND student_reads = 0', ['body', 'created_at', 'taken_back_at'], shown: false),
            new KeptKind('conflicts', 'conflicts', '(student_id = ? OR marker_id = ?)', ['module_id', 'reason', 'created_at'], shown: false),
            new KeptKind('ratings', 'feedback_ratings', self::OWN, ['script_id', 'about', 'useful']),
        ];
    }

    /**
     * @return list<KeptKind>
     */
    private static function ofTalk(): array
    {
        $reviews = 'round_work_id IN (SELECT id FROM round_works WHERE '.self::OWN.')';

        return [
            new KeptKind('reviews_of_marks', 'reviews', self::OWN, ['script_id', 'ground', 'text', 'state', 'answer', 'decided_at', 'created_at'], file: 'file_path', fileName: 'file_name'),
            new KeptKind('threads', 'reply_threads', self::OWN, ['script_id', 'about', 'closed_at']),
            new KeptKind('replies', 'replies', 'reply_thread_id IN (SELECT id FROM reply_threads WHERE '.self::OWN.')', ['from_student', 'body', 'created_at'], file: 'file_path', fileName: 'file_name'),
            new KeptKind('reading', 'reply_readings', 'user_id = ?', ['read_to']),
            new KeptKind('reflections', 'reflections', self::OWN, ['script_id', 'answers', 'words']),
            new KeptKind('sheets', 'sheet_answers', 'user_id = ?', ['answers', 'words', 'done_at']),
            new KeptKind('parts_given', 'contribution_ratings', 'rater_id IN (SELECT id FROM scripts WHERE student_id = ?)', ['points', 'note']),
            new KeptKind('rounds', 'round_members', 'user_id = ?', ['due_at', 'extra', 'let_in_at', 'left_at', 'reviewing_mark']),
            new KeptKind('reviews_given', 'peer_reviews', 'mark_id IN (SELECT id FROM marks WHERE marker_id = ?)', ['returned_why', 'returned_text', 'useful', 'answer', 'answered_at']),
            new KeptKind('reviews_answered', 'peer_reviews', $reviews, ['useful', 'answer', 'answered_at', 'flag_why', 'flag_text', 'flagged_at']),
            new KeptKind('trials', 'trial_marks', 'round_member_id IN (SELECT id FROM round_members WHERE user_id = ?)', ['choices', 'total', 'done_at']),
            new KeptKind('posts', 'posts', 'author_id = ?', ['topic_id', 'text', 'words', 'created_at', 'edited_at', 'taken_back_at', 'hidden_reason']),
            new KeptKind('post_versions', 'post_versions', 'post_id IN (SELECT id FROM posts WHERE author_id = ?)', ['text', 'written_at']),
            new KeptKind('post_files', 'post_files', 'post_id IN (SELECT id FROM posts WHERE author_id = ?)', ['name', 'description', 'bytes'], file: 'path', fileName: 'name'),
            new KeptKind('post_flags', 'post_flags', 'user_id = ?', ['reason', 'created_at', 'decision']),
            new KeptKind('topics', 'topic_readers', 'user_id = ?', ['read_to', 'follows']),
            new KeptKind('participation', 'participations', self::OWN, ['script_id', 'posts', 'replies', 'words', 'first_at']),
            new KeptKind('slots', 'slots', self::OWN.' AND published_at IS NOT NULL', ['script_id', 'room', 'starts_at', 'ends_at']),
            new KeptKind('swaps', 'slot_swaps', 'asked_by = ?', ['state', 'words', 'created_at']),
        ];
    }

    /**
     * What someone did for others: their own words, never whom they are about.
     *
     * @return list<KeptKind>
     */
    private static function ofStaff(): array
    {
        $marks = 'mark_id IN (SELECT id FROM marks WHERE marker_id = ?)';

        return [
            new KeptKind('marks_given', 'marks', 'marker_id = ?', [
                'assignment_id', 'seat', 'choices', 'general_comment', 'private_note', 'reason', 'aside_reason', 'total', 'seconds', 'begun_at', 'done_at',
            ]),
            new KeptKind('comments_given', 'mark_comments', $marks, ['kind', 'criterion', 'body', 'starred', 'gone_at']),
            new KeptKind('recordings_given', 'mark_attachments', $marks, ['kind', 'name', 'bytes', 'seconds', 'written'], file: 'path', fileName: 'name'),
            new KeptKind('observed', 'observation_events', $marks, ['event', 'kind', 'at', 'about', 'value']),
            new KeptKind('evidence', 'observation_files', $marks, ['kind', 'name', 'bytes'], shown: false, file: 'path', fileName: 'name'),
            new KeptKind('shares', 'assignment_markers', 'user_id = ?', ['assignment_id', 'share', 'sections']),
            new KeptKind('moderation', 'assignment_moderators', 'user_id = ?', ['assignment_id']),
            new KeptKind('observing', 'slot_observers', 'user_id = ?', ['slot_id', 'place']),
            new KeptKind('settling', 'settle_messages', 'author_id = ?', ['body', 'created_at']),
            new KeptKind('bank_sets', 'bank_sets', 'owner_id = ?', ['title', 'created_at']),
            new KeptKind('bank', 'bank_comments', 'bank_set_id IN (SELECT id FROM bank_sets WHERE owner_id = ?)', ['label', 'text', 'kind', 'criterion', 'used']),
            new KeptKind('level_notes', 'level_notes', 'saved_by = ?', ['assignment_id', 'criterion', 'text']),
        ];
    }
}
