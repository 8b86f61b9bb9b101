<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Actions\Screen\TakeOffShelf;
use App\Documents\ResultPdf;
use App\Models\Script;
use App\Models\User;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Names\Mask;

/**
 * Takes away what is kept of a student, in a transaction of its caller's: texts, words, files, addresses. Marks and
 * figures stay, without anybody to belong to; what others wrote stays, without the name. What a group handed in is the
 * others' too and stays, without the name.
 */
final class Erasing
{
    private const OWN = 'script_id IN (SELECT id FROM scripts WHERE student_id = ?)';

    /** What only this student handed in. */
    private const ALONE = 'script_id IN (SELECT id FROM scripts WHERE student_id = ? AND group_name IS NULL AND lead_id IS NULL)';

    /** Columns that hold nothing people wrote, or are proved by a checksum that stands elsewhere. */
    private const NOT_SWEPT = [
        'users', 'logbook_lines', 'migrations', 'jobs', 'failed_jobs', 'cache', 'cache_locks', 'sessions',
        'password_reset_tokens', 'recovery_codes', 'sign_in_links', 'rubric_versions', 'overlap_prints', 'operations',
    ];

    /** @var array<string, int> */
    private array $counts = [];

    /** @var list<string> */
    private array $paths = [];

    public function __construct(private readonly TakeOffShelf $shelf)
    {
    }

    /**
     * @return array{counts: array<string, int>, paths: list<string>} how much of what went, and files that are to go once it is certain
     */
    public function __invoke(User $person): array
    {
        $this->counts = $this->paths = [];
        $namings = $person->namings();
        $family = $person->family_name;
        // While their words are still there to be known by.
        ($this->shelf)($this->ids('handins', self::ALONE, $person));
        $this->files($person);
        $this->rows($person);
        $this->words($person);
        $this->counts['quotations'] = Quotations::cut(self::OWN, [$person->id]);
        $this->logbook($person);
        $this->account($person);
        foreach ($namings as $naming) {
            $this->names($naming, $family, $person);
        }

        return ['counts' => array_filter($this->counts), 'paths' => array_values(array_unique($this->paths))];
    }

    private function files(User $person): void
    {
        $alone = 'handin_id IN (SELECT id FROM handins WHERE '.self::ALONE.')';
        $marks = 'mark_id IN (SELECT id FROM marks WHERE '.self::OWN.')';
        $threads = 'reply_thread_id IN (SELECT id FROM reply_threads WHERE '.self::OWN.')';
        foreach ([
            ['handin_files', 'path', $alone], ['handin_files', 'pages_path', $alone], ['handin_copies', 'path', $alone],
            ['reviews', 'file_path', self::OWN], ['replies', 'file_path', $threads], ['mark_attachments', 'path', $marks],
            ['observation_files', 'path', $marks],
            ['post_files', 'path', 'post_id IN (SELECT id FROM posts WHERE author_id = ?)'],
        ] as [$table, $column, $rows]) {
            $found = DB::table($table)->whereRaw($rows, [$person->id])->whereNotNull($column)->where($column, '<>', '')
                ->pluck($column)->map(strval(...))->all();
            array_push($this->paths, ...$found);
            $this->counts['files'] = ($this->counts['files'] ?? 0) + count($found);
        }
        foreach (DB::table('results')->whereRaw(self::OWN, [$person->id])->pluck('public_id') as $id) {
            array_push($this->paths, ...ResultPdf::paths((string) $id));
        }
        foreach (DB::table('uploads')->where('student_id', $person->id)->pluck('public_id') as $id) {
            $this->paths[] = "uploads/{$id}";
        }
    }

    /** What goes as a whole. */
    private function rows(User $person): void
    {
        $alone = 'handin_id IN (SELECT id FROM handins WHERE '.self::ALONE.')';
        $marks = 'mark_id IN (SELECT id FROM marks WHERE '.self::OWN.')';
        foreach ([
            ['first_feedback', 'student_id = ?'], ['draft_checks', 'student_id = ?'], ['typed_texts', 'student_id = ?'],
            ['uploads', 'student_id = ?'], ['handin_copies', $alone], ['writing_reports', $alone],
            ['mark_attachments', $marks], ['observation_files', $marks], ['reflections', self::OWN],
            ['sheet_answers', 'user_id = ?'], ['notices', 'user_id = ?'], ['sessions', 'user_id = ?'],
            ['recovery_codes', 'user_id = ?'], ['sign_in_links', 'user_id = ?'],
            ['password_reset_tokens', 'email = (SELECT email FROM users WHERE id = ?)'], ['conflicts', 'student_id = ?'],
            ['member_notes', 'membership_id IN (SELECT id FROM memberships WHERE user_id = ?)'],
            ['post_versions', 'post_id IN (SELECT id FROM posts WHERE author_id = ?)'],
            ['post_files', 'post_id IN (SELECT id FROM posts WHERE author_id = ?)'], ['topic_readers', 'user_id = ?'],
            ['reply_readings', 'user_id = ?'], ['conversation_people', 'user_id = ?'],
        ] as [$table, $rows]) {
            $gone = DB::table($table)->whereRaw($rows, [$person->id])->delete();
            $this->counts[$table] = ($this->counts[$table] ?? 0) + $gone;
        }
    }

    /** What stays as a fact, and loses its words. */
    private function words(User $person): void
    {
        $alone = 'handin_id IN (SELECT id FROM handins WHERE '.self::ALONE.')';
        foreach ([
            ['handins', self::ALONE, ['erased_at' => now(), 'text' => '', 'html' => '', 'notes' => '[]', 'identity' => '[]', 'declaration' => null, 'hidden' => null]],
            ['handin_files', $alone, ['original_name' => '', 'path' => '', 'pages_path' => null, 'unread' => null, 'link' => null]],
            ['conversation_entries', self::OWN, ['why' => '', 'questions' => '', 'seen' => '[]']],
            ['individual_cases', self::OWN, ['reason' => '', 'ended_reason' => '']],
            ['allowances', 'student_id = ?', ['reason' => '']], ['extensions', 'student_id = ?', ['reason' => '']],
            ['scripts', 'student_id = ?', ['waived_reason' => null]],
            ['memberships', 'user_id = ?', ['candidate_number' => null, 'section' => null]],
            ['reviews', self::OWN, ['text' => '', 'file_path' => null, 'file_name' => '', 'file_text' => null]],
            ['replies', 'from_student = 1 AND reply_thread_id IN (SELECT id FROM reply_threads WHERE '.self::OWN.')', ['body' => '', 'file_path' => null, 'file_name' => '', 'file_text' => null]],
            ['contribution_ratings', 'rater_id IN (SELECT id FROM scripts WHERE student_id = ?)', ['note' => '']],
            ['posts', 'author_id = ?', ['text' => '', 'html' => '', 'masked' => '', 'masked_text' => '']],
            ['post_flags', 'user_id = ?', ['reason' => '']], ['slot_swaps', 'asked_by = ?', ['words' => '']],
            ['peer_reviews', 'round_work_id IN (SELECT id FROM round_works WHERE '.self::OWN.')', ['answer' => '', 'flag_text' => '']],
            ['marks', self::OWN.' AND done_at IS NOT NULL', ['private_note' => '']],
            ['observation_events', 'kind = \'note\' AND mark_id IN (SELECT id FROM marks WHERE '.self::OWN.')', ['value' => '']],
        ] as [$table, $rows, $values]) {
            $this->counts["{$table}_words"] = DB::table($table)->whereRaw($rows, [$person->id])->update($values);
        }
    }

    /** The chain stays whole: texts beside it go, and the gap shows as one. */
    private function logbook(User $person): void
    {
        $codes = Script::query()->where('student_id', $person->id)->pluck('code')->all();
        $lines = DB::table('logbook_lines')->select('number')->where('actor', $person->public_id)
            ->orWhere(fn ($query) => $query->where('subject_kind', 'person')->where('subject', $person->public_id))
            ->orWhere(fn ($query) => $query->where('subject_kind', 'script')->whereIn('subject', $codes));
        $this->counts['logbook_texts'] = DB::table('logbook_texts')->whereIn('number', $lines)->delete();
    }

    private function account(User $person): void
    {
        $person->forceFill([
            'name' => __('keeping.erase.name'), 'email' => "{$person->public_id}@erased.invalid", 'number' => null,
            'given_name' => null, 'family_name' => null, 'former_names' => null, 'roster_id' => null, 'password' => User::NO_PASSWORD,
            'second_secret' => null, 'second_since' => null, 'second_step' => null, 'desk' => null,
            'remember_token' => null, 'signed_in_at' => null, 'closed_at' => now(), 'erased_at' => now(),
        ])->save();
    }

    /**
     * By what a column is looked at more closely; what in it is the name, the mask says.
     *
     * @param  array{name: string, number: string|null, email: string}  $naming
     * @return list<string>
     */
    private function signs(array $naming, ?string $family): array
    {
        $parts = preg_split('/\s+/u', $naming['name']) ?: [];
        $signs = [
            $naming['name'], (string) end($parts), $naming['email'], strstr($naming['email'], '@', true), $naming['number'],
            $family,
        ];
        $signs = array_filter($signs, fn (mixed $sign) => is_string($sign) && mb_strlen($sign) > 2);

        // As JSON may write them.
        return array_values(array_unique(
            [...$signs, ...array_map(fn (string $sign) => trim((string) json_encode($sign), '"'), $signs)],
        ));
    }

    /**
     * The name wherever people wrote it: with this person's own scripts as people who know each other name somebody;
     * in every other column of words there is, the whole name, the number and the address. Where somebody else is
     * called the same, only with their own scripts: elsewhere it may be the other.
     *
     * @param  array{name: string, number: string|null, email: string}  $naming
     */
    private function names(array $naming, ?string $family, User $person): void
    {
        $mask = new Mask($naming['name'], $naming['number'], $naming['email']);
        $signs = $this->signs($naming, $family);
        $isAlone = User::query()->where('name', $naming['name'])->whereKeyNot($person->id)->doesntExist();
        $own = [
            ['mark_comments', 'body', 'mark_id IN (SELECT id FROM marks WHERE '.self::OWN.')'],
            ['replies', 'body', 'reply_thread_id IN (SELECT id FROM reply_threads WHERE '.self::OWN.')'],
        ];
        foreach ($this->columns() as [$table, $column, $hasScript]) {
            $hasScript && $own[] = [$table, $column, self::OWN];
        }
        foreach ($own as [$table, $column, $rows]) {
            $this->sweep(
                $table, $column, fn () => DB::table($table)->whereRaw($rows, [$person->id]), $mask->hideAmong(...),
            );
        }
        foreach ($isAlone ? $this->columns() : [] as [$table, $column]) {
            $named = function (Builder $query) use ($signs, $column): void {
                foreach ($signs as $sign) {
                    $query->orWhereLike($column, '%'.addcslashes($sign, '%_\\').'%');
                }
            };
            $this->sweep($table, $column, fn () => DB::table($table)->where($named), $mask->hideElsewhere(...));
        }
    }

    /**
     * @param  Closure(): Builder  $rows
     * @param  Closure(string, int&): string  $hide
     */
    private function sweep(string $table, string $column, Closure $rows, Closure $hide): void
    {
        foreach ($rows()->whereNotNull($column)->where($column, '<>', '')->pluck($column)->unique() as $text) {
            $hidden = $this->hidden($hide, (string) $text);
            if ($hidden !== $text) {
                $this->counts['names'] = ($this->counts['names'] ?? 0)
                    + $rows()->whereRaw("BINARY `{$column}` = ?", [$text])->update([$column => $hidden]);
            }
        }
    }

    /**
     * @param  Closure(string, int&): string  $hide
     */
    private function hidden(Closure $hide, string $text): string
    {
        $times = 0;
        $json = preg_match('/^\s*[\[{]/', $text) === 1 ? json_decode($text, true) : null;
        if (! is_array($json)) {
            return $hide($text, $times);
        }
        array_walk_recursive($json, function (mixed &$one) use ($hide, &$times): void {
            $one = is_string($one) ? $hide($one, $times) : $one;
        });

        return $times === 0 ? $text : json_encode($json, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /**
     * @return list<array{string, string, bool}> table, column, and whether its rows say of which script they are
     */
    private function columns(): array
    {
        $found = DB::select(
            "SELECT CONCAT_WS(' ', c.table_name, c.column_name, IF(s.column_name IS NULL, 0, 1)) FROM information_schema.columns c"
            .' LEFT JOIN information_schema.columns s ON s.table_schema = c.table_schema AND s.table_name = c.table_name'
            ." AND s.column_name = 'script_id'"
            ." WHERE c.table_schema = DATABASE() AND c.data_type IN ('varchar', 'text', 'mediumtext', 'longtext', 'json')"
            ." AND c.extra NOT LIKE '%GENERATED%' AND c.character_maximum_length > 24",
        );
        $columns = array_map(fn (object $one) => explode(' ', (string) current((array) $one)), $found);

        return array_values(array_map(
            fn (array $one) => [$one[0], $one[1], $one[2] === '1'],
            array_filter($columns, fn (array $one) => ! in_array($one[0], self::NOT_SWEPT, true)),
        ));
    }

    /**
     * @return list<int>
     */
    private function ids(string $table, string $rows, User $person): array
    {
        return array_values(DB::table($table)->whereRaw($rows, [$person->id])->pluck('id')->map(intval(...))->all());
    }
}
