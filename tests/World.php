<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Release\ReleaseResults;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\RubricVersion;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;

/**
 * A small module for tests, made through the application's own actions.
 */
trait World
{
    /** Fields of the form of an assignment: every script twice. */
    protected const SECOND_MARKS = [
        'second_marking' => 'every', 'second_view' => 'blind', 'third_rule' => 'third-decides',
        'disagreement' => 'its-markers', 'settle_days' => '7', 'sample_share' => '10', 'sample_least' => '6',
        'sample_root' => '1', 'sample_fails' => '1', 'sample_top' => '1', 'sample_near' => '2',
    ];

    protected const ONE_MARK = ['second_marking' => 'none'] + self::SECOND_MARKS;

    protected Module $module;

    protected User $coordinator;

    /** @var list<User> */
    protected array $tutors = [];

    /** @var list<User> */
    protected array $students = [];

    protected function module(int $tutors = 2, int $students = 3): void
    {
        $this->module = Module::factory()->create();
        $this->coordinator = $this->member(Role::Coordinator);
        for ($i = 0; $i < $tutors; $i++) {
            $this->tutors[] = $this->member(Role::Tutor);
        }
        for ($i = 0; $i < $students; $i++) {
            $this->students[] = $this->member(Role::Student);
        }
    }

    protected function member(Role $role, ?Module $module = null): User
    {
        $user = User::factory()->create();
        Membership::factory()->create(
            ['module_id' => ($module ?? $this->module)->id, 'user_id' => $user->id, 'role' => $role]
        );

        return $user;
    }

    /**
     * @return array<string, mixed> two criteria, 60 and 40 percent, levels of 0, 5 and 10 points
     */
    protected function rubricDocument(string $second = '40'): array
    {
        return ['title' => 'Two criteria', 'weighting' => 'percent', 'decimals' => 1,
            'levels' => [
                ['id' => 'l1', 'title' => 'Low', 'points' => '0'],
                ['id' => 'l2', 'title' => 'Middle', 'points' => '5'],
                ['id' => 'l3', 'title' => 'High', 'points' => '10'],
            ],
            'criteria' => [
                [
                    'id' => 'c1', 'title' => 'Argument', 'purpose' => '', 'weight' => '60', 'kind' => 'levels',
                    'descriptors' => ['l1' => 'None.', 'l2' => 'Some.', 'l3' => 'Strong.'],
                    'guidance' => ['l2' => 'Answer an objection.'],
                ],
                [
                    'id' => 'c2', 'title' => 'Evidence', 'purpose' => '', 'weight' => $second, 'kind' => 'levels',
                    'descriptors' => ['l1' => 'None.'],
                ],
            ]];
    }

    protected function workingCopy(string $second = '40'): Rubric
    {
        return Rubric::query()
            ->create(
                [
                    'module_id' => $this->module->id, 'title' => 'Two criteria',
                    'document' => $this->rubricDocument($second), 'saved_by' => $this->coordinator->id,
                ]
            )
            ->refresh();
    }

    protected function readyRubric(): RubricVersion
    {
        return app(MakeRubricReady::class)($this->workingCopy(), 1, $this->coordinator);
    }

    /**
     * An assignment open to students and due tomorrow.
     *
     * @param  array<string, mixed>  $fields
     */
    protected function assignment(array $fields = []): Assignment
    {
        $assignment = app(SaveAssignment::class)($this->module, null, $this->assignmentFields($fields), null);
        app(OpenAssignment::class)($assignment);

        return $assignment->refresh();
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    protected function assignmentFields(array $fields): array
    {
        return [
            'title' => 'Salt', 'brief' => 'Write about salt.', 'rubric_version_id' => $this->readyRubric()->id,
            'due_at' => now()->addDay(), 'closes_at' => now()->addDays(3),
            'bands' => config('harbor.bands.classes'), ...$fields,
        ];
    }

    /**
     * A marking scheme as usual but for some fields.
     *
     * @param  array<string, mixed>  $fields  by their JSON names
     */
    protected function scheme(array $fields): Scheme
    {
        return Scheme::fromArray([...Scheme::usual()->toArray(), ...$fields]);
    }

    protected function oneMark(): Scheme
    {
        return $this->scheme(['second' => 'none']);
    }

    /**
     * Changes how an assignment is screened, and nothing that follows from it.
     *
     * @param  array<string, mixed>  $fields  by their JSON names
     */
    protected function screenOtherwise(Assignment $assignment, array $fields): void
    {
        $assignment->update(['screening' => $assignment->screening->with($fields)]);
    }

    /** Everyone hands in a text of their own, the due time passes, the scripts are shared out. */
    protected function sharedOut(Assignment $assignment): Assignment
    {
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)($assignment, $student, "Essay number {$n}. ".$this->prose(80, $n));
        }
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);

        return $assignment->refresh();
    }

    /**
     * Gives out what is handed in and with nobody yet, in even shares.
     *
     * @param  list<User>|null  $markers
     */
    protected function shareOut(Assignment $assignment, ?array $markers = null, int $seed = 1): void
    {
        $plan = app(WorkOutPlan::class)(
            $assignment,
            array_map(
                fn (User $marker) => ['marker' => $marker->public_id, 'share' => '1', 'sections' => null],
                $markers ?? $this->tutors,
            ),
            $seed, false, false, $this->coordinator,
        );
        app(ApplyPlan::class)($plan, $this->coordinator);
    }

    protected function script(Assignment $assignment, int $student = 0): Script
    {
        return Script::query()->where('assignment_id', $assignment->id)
            ->where('student_id', $this->students[$student]->id)->sole();
    }

    /**
     * @return list<Script>
     */
    protected function scripts(Assignment $assignment): array
    {
        return array_values(Script::query()->where('assignment_id', $assignment->id)->orderBy('id')->get()->all());
    }

    protected function markOf(Script $script, Seat $seat): Mark
    {
        return Mark::query()->where('script_id', $script->id)->where('seat', $seat)->whereNull('handed_over_at')
            ->sole();
    }

    /** Marks and finishes: levels for the two criteria. */
    protected function finish(Mark $mark, string $first, string $second): Mark
    {
        app(SaveChoice::class)(
            $mark, 'c1', ['level' => $first, 'comment' => "Comment of the {$mark->seat->value} marker."],
        );
        app(SaveChoice::class)($mark, 'c2', ['level' => $second]);

        return app(FinishMark::class)($mark);
    }

    protected function finishBoth(Script $script, string $first = 'l2', string $second = 'l2'): void
    {
        $this->finish($this->markOf($script, Seat::First), $first, $second);
        $this->finish($this->markOf($script, Seat::Second), $first, $second);
    }

    /** An assignment whose results are all out. */
    protected function released(): Assignment
    {
        $assignment = $this->sharedOut($this->assignment());
        foreach (array_keys($this->students) as $n) {
            $this->finishBoth($this->script($assignment, $n));
        }
        app(ReleaseResults::class)($assignment, null, $this->coordinator);

        return $assignment->refresh();
    }

    /** Words that no other seed gives in the same order. */
    protected function prose(int $words, int $seed): string
    {
        mt_srand($seed + 100);
        $out = [];
        while (count($out) < $words) {
            $out[] = [
                'salt', 'brine', 'pan', 'fire', 'coal', 'toll', 'wall', 'tide', 'boat', 'net', 'weir', 'quay',
            ][mt_rand(0, 11)].mt_rand(1, 400);
        }

        return implode(' ', $out).'.';
    }
}
