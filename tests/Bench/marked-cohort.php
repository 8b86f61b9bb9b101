<?php

declare(strict_types=1);

/*
 * A cohort whose marks are in, made quickly: for measuring what large ones cost.
 */

use App\Actions\Mark\StoreStandings;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use App\Models\Work;
use Illuminate\Support\Facades\DB;
use Tests\World;

return new class
{
    use World;

    /**
     * @return array{User, Assignment} the coordinator, an assignment with its first marks, or both
     */
    public function marked(int $scripts, int $markers, bool $twice): array
    {
        $this->tutors = $this->students = [];
        DB::transaction(fn () => $this->module($markers, $scripts));
        $assignment = DB::transaction(
            fn () => $this->assignment(['scheme' => $this->scheme(['second' => $twice ? 'every' : 'sample'])]),
        );
        $choices = json_encode(
            ['c1' => ['level' => 'l2', 'comment' => str_repeat('Read closely. ', 8)], 'c2' => ['level' => 'l3']]
        );
        $at = now()->toDateTimeString();
        Script::query()->where('assignment_id', $assignment->id)->orderBy('id')
            ->chunk(500, function ($some) use ($assignment, $choices, $at, $twice): void {
                $first = 1 + (int) DB::table('works')->max('id');
                DB::table('works')->insert($some->values()->map(fn (Script $script, int $n) => [
                    'id' => $first + $n, 'script_id' => $script->id, 'kind' => Work::HANDIN,
                ])->all());
                DB::table('handins')->insert($some->values()->map(fn (Script $script, int $n) => [
                    'id' => $first + $n, 'public_id' => (new Handin)->newUniqueId(), 'script_id' => $script->id,
                    'attempt' => 1, 'handed_in_by' => $script->student_id, 'bytes' => 9,
                    'sha256' => str_repeat('0', 64),
                    'words' => 9, 'text' => '', 'html' => '', 'notes' => '[]', 'identity' => '[]',
                    'seal' => str_repeat('0', 64), 'read_at' => $at, 'prepared_at' => $at, 'due_at' => $script->due_at,
                    'late' => false, 'received_at' => $at,
                ])->all());
                $marks = [];
                foreach ($some->values() as $n => $script) {
                    foreach ($twice ? ['first', 'second'] : ['first'] as $k => $seat) {
                        $marks[] = [
                            'public_id' => (new Mark)->newUniqueId(), 'script_id' => $script->id,
                            'assignment_id' => $assignment->id, 'seat' => $seat, 'counts' => true,
                            'marker_id' => $this->tutors[
                                (
                                    $n + $k * (1 + intdiv($n, count($this->tutors)) % (count($this->tutors) - 1))
                                ) % count($this->tutors)
                            ]->id,
                            'rubric_version_id' => $assignment->rubric_version_id, 'work_id' => $first + $n,
                            'choices' => $choices, 'general_comment' => '', 'queue_place' => $n,
                            'total' => 42 + ($script->id * 7 + $k * 5) % 40, 'begun_at' => $at, 'done_at' => $at,
                        ];
                    }
                }
                DB::table('marks')->insert($marks);
            });
        DB::update(
            'UPDATE scripts s JOIN handins h ON h.script_id = s.id SET s.current_handin_id = h.id, s.received_at = h.received_at WHERE s.assignment_id = ?',
            [$assignment->id],
        );
        app(StoreStandings::class)($assignment->scripts()->pluck('id'));
        $assignment->update(['shared_out_at' => $at]);

        return [$this->coordinator, $assignment];
    }

    /** Lets the mean of two marks be the agreed one of every script. */
    public function settle(Assignment $assignment): void
    {
        $at = now()->toDateTimeString();
        $line = json_encode([['what' => 'Settled', 'how' => 'the mean of the two marks', 'result' => '62']]);
        foreach ($assignment->scripts()->pluck('id')->chunk(500) as $some) {
            DB::table('settlements')->insert($some->map(fn (int $id) => [
                'script_id' => $id, 'mark' => '62', 'settled_by' => 'rule', 'working' => $line, 'choices' => '[]',
                'feedback' => '{"from":["first"],"general":null}', 'created_at' => $at, 'updated_at' => $at,
            ])->values()->all());
        }
        app(StoreStandings::class)($assignment->scripts()->pluck('id'));
    }
};
