<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Release\DrawCandidateNumbers;
use App\Actions\Release\OpenCase;
use App\Actions\Release\RecordOpening;
use App\Actions\Release\RevealNames;
use App\Actions\Release\RunRelease;
use App\Actions\Release\SaveModulePlan;
use App\Actions\Release\SetRelease;
use App\Actions\Release\WriteMemberNote;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Enums\CaseKind;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Result;
use App\Models\RubricVersion;
use App\Models\User;
use App\Release\ReleasePlan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Release\ModulePlan;
use YoungHarbor\Core\Release\Scope;
use YoungHarbor\Core\Release\Settings as Release;
use YoungHarbor\Core\Rubric\Draft;

/**
 * A module whose marks are all in: an essay, an examination that must be passed with a resit, the best two of three
 * tide tables, one student exempt. Its board has not sat yet.
 */
final class ClosedModuleSeeder
{
    use ChoosesByAim;

    private Module $module;

    /** @var array<string, mixed> */
    private array $demo;

    /** @var array<string, User> by mail */
    private array $students = [];

    /** @var list<User> */
    private array $tutors = [];

    /**
     * @param  array<string, mixed>  $rubric  a draft
     */
    public function __construct(
        private readonly User $coordinator, private readonly User $examiner, private readonly array $rubric,
    ) {
        $this->demo = require database_path('demo/closed.php');
    }

    /** Everything happens in the sixty days from this one. */
    public function run(Carbon $first): void
    {
        $this->at($first, 0);
        $this->people();
        $rubric = app(MakeRubricReady::class)(app(AddRubric::class)(
            Draft::of(['title' => 'One page, year 1'] + $this->rubric), $this->coordinator, $this->module,
        ), 1, $this->coordinator);
        $made = [];
        foreach (['w1' => 1, 'w2' => 8, 'essay' => 15, 'w3' => 22, 'exam' => 29, 'resit' => 43] as $key => $day) {
            $made[$key] = $this->assignment($key, $rubric, $first, $day);
        }
        $this->at($first, 50);
        app(SaveModulePlan::class)($this->module, ModulePlan::fromArray([
            'decimals' => 1, 'pass' => '40', 'borderline' => '1.5', 'bands' => config('harbor.bands.classes'), 'parts' => [
                ['id' => $made['essay']->public_id, 'title' => $made['essay']->title, 'weight' => '40', 'of' => [$made['essay']->public_id]],
                [
                    'id' => $made['exam']->public_id, 'title' => $made['exam']->title, 'weight' => '35', 'must_pass' => '40',
                    'of' => [$made['exam']->public_id], 'resit' => ['of' => $made['resit']->public_id, 'cap' => '40'],
                ],
                [
                    'id' => 'list-a', 'title' => 'Tide tables', 'weight' => '25', 'best' => 2,
                    'of' => [$made['w1']->public_id, $made['w2']->public_id, $made['w3']->public_id],
                ],
            ],
        ]), $this->coordinator);
        app(DrawCandidateNumbers::class)($this->module, $this->coordinator);
        $note = fn (string $who, string $text, bool $reads) => app(WriteMemberNote::class)(
            Membership::query()->where('module_id', $this->module->id)->where('user_id', $this->students[$who]->id)->sole(),
            $text, $reads, $this->coordinator,
        );
        $note('wren.ashgrove', 'Your three tide tables show how a habit grows: each says its source before the figure. Keep that.', true);
        $note('sibeal.macaodha', 'Has been written to about the resit; comes to the office hour.', false);
    }

    private function people(): void
    {
        $this->module = Module::query()->create(['code' => 'HT105', 'title' => 'Tolls and Tides']);
        $hash = Hash::make('low-water-mark');
        $join = function (User $user, Role $role, ?string $section = null): User {
            Membership::query()->create([
                'module_id' => $this->module->id, 'user_id' => $user->id, 'role' => $role, 'section' => $section,
            ]);

            return $user;
        };
        $make = fn (array $person, ?string $number = null): User => User::query()->forceCreate([
            'name' => $person[0], 'email' => "{$person[1]}@merrow.example", 'number' => $number, 'password' => $hash,
            'joined_at' => now(),
        ]);
        $join($this->coordinator, Role::Coordinator);
        $join($this->examiner, Role::Examiner);
        foreach ($this->demo['tutors'] as $tutor) {
            $this->tutors[] = $join($make($tutor), Role::Tutor);
        }
        foreach ($this->demo['students'] as $n => $student) {
            $this->students[$student[1]] = $join($make($student, sprintf('M20%04d', $n + 1)), Role::Student, $n % 2 ? 'B' : 'A');
        }
    }

    private function assignment(string $key, RubricVersion $rubric, Carbon $first, int $day): Assignment
    {
        $this->at($first, $day);
        $assignment = app(SaveAssignment::class)($this->module, null, [
            'title' => $this->demo['assignments'][$key], 'brief' => $this->demo['brief'], 'rubric_version_id' => $rubric->id,
            'bands' => config('harbor.bands.classes'), 'due_at' => $first->copy()->addDays($day + 1)->setTime(12, 0),
            'closes_at' => $first->copy()->addDays($day + 1)->setTime(18, 0),
            'promised_on' => $first->copy()->addDays($day + 7)->toDateString(),
            'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'second' => 'none']),
            'release' => Release::fromArray(['absent' => $key === 'resit' ? 'nothing' : 'zero']),
        ], null);
        app(OpenAssignment::class)($assignment);
        $aims = [];
        foreach ($this->demo['students'] as $n => [, $who, $marks]) {
            if (($marks[$key] ?? null) === null) {
                continue;
            }
            $aims[$this->students[$who]->id] = (float) $marks[$key];
            $this->at($first, $day + 1, 8, $this->students[$who], 4 * $n);
            app(TakeHandIn::class)($assignment, $this->students[$who], strtr($this->demo['text'], [
                '{n}' => ['first', 'second', 'third', 'fourth', 'fifth'][$n % 5], '{count}' => (string) (3 + $n),
                '{place}' => $this->demo['places'][$n % 6],
            ])." {$this->demo['assignments'][$key]}, page {$n}.");
        }
        app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
        $this->at($first, $day + 2);
        app(ApplyPlan::class)(app(WorkOutPlan::class)($assignment->refresh(), array_map(
            fn (User $tutor) => ['marker' => $tutor->public_id, 'share' => '1', 'sections' => null], $this->tutors,
        ), 105, false, false, $this->coordinator), $this->coordinator);
        foreach (Mark::counting()->where('assignment_id', $assignment->id)->with('script', 'marker')->orderBy('id')->get() as $n => $mark) {
            $this->at($first, $day + 3, 9, $mark->marker, 7 * $n);
            app(ChangeMark::class)($mark, function (Mark $stored) use ($aims, $mark): void {
                $stored->choices = $this->choices($stored, $aims[$mark->script->student_id]);
                $stored->general_comment = 'You say what the book gives. Say next what it leaves out, and for whom.';
            });
            app(FinishMark::class)($mark->refresh());
        }
        $this->at($first, $day + 5);
        if ($key === 'exam') {
            $script = $assignment->scripts()->where('student_id', $this->students['yuki.tremayne']->id)->sole();
            app(OpenCase::class)($script, CaseKind::Exempt, '', 'Took the same examination in another module.', $this->coordinator);
        }
        app(RunRelease::class)(app(SetRelease::class)($assignment->refresh(), new ReleasePlan(
            Scope::all(), provisional: in_array($key, ['exam', 'resit'], true),
        ), $this->coordinator));
        $this->at($first, $day + 5, 11);
        foreach (Result::query()->whereIn('script_id', $assignment->scripts()->select('id'))->with('script.student')->get() as $n => $result) {
            Auth::setUser($result->script->student);
            $n % 6 === 5 || app(RecordOpening::class)($result);
        }
        $this->at($first, $day + 5, 12);
        $key === 'resit' || app(RevealNames::class)($assignment->refresh());

        return $assignment->refresh();
    }

    private function at(Carbon $first, int $days, int $hour = 10, ?User $as = null, int $minutes = 0): void
    {
        Carbon::setTestNow($first->copy()->addDays($days)->setTime($hour, 0)->addMinutes($minutes));
        Auth::setUser($as ?? $this->coordinator);
    }
}
