<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\SetGroups;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Peers\AddTrialScript;
use App\Actions\Peers\AnswerPeerReview;
use App\Actions\Peers\CloseContribution;
use App\Actions\Peers\CloseRound;
use App\Actions\Peers\FinishReview;
use App\Actions\Peers\FlagReview;
use App\Actions\Peers\OfferReviews;
use App\Actions\Peers\OpenContribution;
use App\Actions\Peers\OpenRound;
use App\Actions\Peers\PlanReviews;
use App\Actions\Peers\RateMembers;
use App\Actions\Peers\ReturnReview;
use App\Actions\Peers\SaveContribution;
use App\Actions\Peers\SaveRound;
use App\Actions\Peers\SaveTrialMark;
use App\Actions\Peers\SayWhatWasLearnt;
use App\Actions\Peers\SetMultiplier;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Release\RunRelease;
use App\Actions\Release\SetRelease;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Enums\HandInBy;
use App\Enums\Role;
use App\Enums\WhyFlagged;
use App\Enums\WhyReturned;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\RubricVersion;
use App\Models\TrialMark;
use App\Models\User;
use App\Release\ReleasePlan;
use Brick\Math\BigDecimal;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Peers\ContributionSettings;
use YoungHarbor\Core\Peers\RoundSettings;
use YoungHarbor\Core\Release\Scope;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;

/**
 * A module whose students review each other: a round that is closed, its marks combined beside those of staff, and one
 * in the middle, on drafts, in which one has begun nothing, one review is flagged and one was given back.
 */
final class PeerModuleSeeder
{
    use ChoosesByAim;

    private Module $module;

    /** @var array<string, mixed> */
    private array $demo;

    /** @var array<string, User> by mail */
    private array $students = [];

    /** @var list<User> */
    private array $tutors = [];

    private RubricVersion $rubric;

    /**
     * @param  array<string, mixed>  $draft  of its rubric
     */
    public function __construct(private readonly User $coordinator, private readonly array $draft)
    {
        $this->demo = require database_path('demo/peers.php');
    }

    /** The round that is closed: eight days from this one. */
    public function finished(Carbon $first): void
    {
        $this->at($first, 0);
        $this->people();
        $this->rubric = app(MakeRubricReady::class)(app(AddRubric::class)(
            Draft::of(['title' => 'Reading a source'] + $this->draft), $this->coordinator, $this->module,
        ), 1, $this->coordinator);
        $note = $this->assignment('note', $first->copy()->addDay()->setTime(12, 0));
        foreach (array_values($this->students) as $n => $student) {
            $this->at($first, 1, 8, $student, 3 * $n);
            app(TakeHandIn::class)($note, $student, $this->demo['note']['texts'][$n]);
        }
        $this->read();
        $this->at($first, 1, 13);
        $round = $this->round($note, 'Peers read your note', [
            'each' => 4, 'least_words' => 12, 'method' => 'reliability', 'share' => 20, 'reviewing' => 10,
            'seen' => 'due', 'self' => true, 'self_first' => true, 'staff_see' => 'own',
            'replan' => [24],
        ], [$first->copy()->addDay()->setTime(14, 0), $this->noon($first, 5), $this->noon($first, 6)]);
        $this->addTrial($round);
        app(OpenRound::class)($round, $this->coordinator);
        $this->at($first, 1, 14);
        app(PlanReviews::class)($round->refresh(), null);
        $this->tryOut($round->refresh(), $first, 2);
        $aims = array_combine(array_keys($this->students), array_column($this->demo['students'], 2));
        $n = 0;
        foreach (
            PeerReview::query()->where('round_id', $round->id)->with('member.user', 'work.script.student', 'mark')
                ->orderBy('id')->get() as $review
        ) {
            $n++;
            $who = $this->mail($review->member->user);
            $this->at($first, 3, 9, $review->member->user, 6 * $n);
            $this->write(
                $review, $this->aim($who, $aims[$this->mail($review->work->script->student)], $n),
                300 + 37 * ($n % 11), $n,
            );
        }
        $this->at($first, 5, 13);
        foreach (
            PeerReview::query()->where('round_id', $round->id)->where('own', false)->with('work.script.student')
                ->orderBy('id')->get() as $n => $review
        ) {
            Auth::setUser($review->work->script->student);
            $n % 4 === 3
                || app(AnswerPeerReview::class)(
                    $review, $n % 7 === 2 ? 0 : ($n % 3 === 1 ? 1 : 2), $this->demo['answers'][$n % 3],
                );
        }
        $this->mark($note, $aims, $first);
        $this->at($first, 6, 14);
        app(CloseRound::class)($round->refresh(), $this->coordinator);
        $this->at($first, 7);
        app(RunRelease::class)(
            app(SetRelease::class)($note->refresh(), new ReleasePlan(Scope::all()), $this->coordinator)
        );
        foreach (array_values($this->demo['learnt']) as $n => $text) {
            $this->at($first, 8, 18, array_values($this->students)[$n], $n);
            app(SayWhatWasLearnt::class)(PeerReview::query()->where('round_id', $round->id)->where('own', true)
                ->whereHas('member', fn ($member) => $member->where('user_id', array_values($this->students)[$n]->id))
                ->sole(), $text);
        }
    }

    /** Groups that hand in one text, and say who did how much: one mark is adjusted. */
    public function walked(Carbon $first): void
    {
        $walk = $this->demo['walk'];
        $students = array_values($this->students);
        $this->at($first, 0, 11);
        $assignment = $this->assignment('walk', $first->copy()->setTime(14, 30), HandInBy::GroupOneMark);
        $groups = [];
        foreach ($walk['groups'] as $name => $members) {
            foreach ($members as $n) {
                $groups[$students[$n]->id] = $name;
            }
        }
        app(SetGroups::class)($assignment, $groups, 'list');
        $this->at($first, 0, 12);
        $contribution = app(SaveContribution::class)(
            $assignment->refresh(), ContributionSettings::usual(), $this->noon($first, 1), $this->coordinator,
        );
        foreach (array_values($walk['groups']) as $n => $members) {
            $this->at($first, 0, 14, $students[$members[0]], 7 * $n);
            app(TakeHandIn::class)($assignment, $students[$members[0]], $walk['texts'][$n]);
        }
        $this->read();
        $this->at($first, 0, 15);
        app(OpenContribution::class)($contribution, $this->coordinator);
        foreach (array_values($walk['groups']) as $n => $members) {
            foreach ($members as $k => $member) {
                $this->at($first, 0, 16, $students[$member], 9 * $n + 2 * $k);
                $points = $walk['points'][$n][$k];
                $points === null || app(RateMembers::class)(
                    $contribution, array_combine(
                        array_map(fn (int $one) => $students[$one]->public_id, $members), $points,
                    ),
                    $n === 1 && $k === 1 ? [$students[$members[2]]->public_id => $walk['note']] : [], $students[$member],
                );
            }
        }
        $this->at($first, 1, 13);
        app(CloseContribution::class)($contribution, $this->coordinator);
        $this->at($first, 1, 14);
        app(SetMultiplier::class)(
            $contribution, $students[5], BigDecimal::of('0.95'), $walk['reason'], $this->coordinator,
        );
        $this->at($first, 1, 15);
        $aims = [];
        foreach (array_values($walk['groups']) as $n => $members) {
            foreach ($members as $member) {
                $aims[$this->mail($students[$member])] = $walk['staff'][$n];
            }
        }
        $this->mark($assignment, $aims, $first->copy()->subDays(4), 15);
        $this->at($first, 2, 18);
        app(RunRelease::class)(
            app(SetRelease::class)($assignment->refresh(), new ReleasePlan(Scope::all()), $this->coordinator)
        );
    }

    /** The round in the middle. */
    public function underWay(Carbon $first, Carbon $today): void
    {
        $this->at($first, 0, 21);
        $letter = $this->assignment('letter', $today->copy()->addDays(6)->setTime(12, 0));
        foreach (array_values($this->students) as $n => $student) {
            $text = $this->demo['letter']['texts'][$n] ?? null;
            $this->at($first, 1, 10, $student, 3 * $n);
            $text === null || app(TakeHandIn::class)($letter, $student, $text);
        }
        $this->read();
        $this->at($first, 1, 12);
        $round = $this->round($letter, 'Read each other’s drafts', [
            'on' => 'draft', 'each' => 3, 'least_words' => 12, 'self' => true, 'seen' => 'own-done', 'staff_see' => 'own',
            'replan' => [36, 12],
        ], [$first->copy()->addDay()->setTime(13, 0), $this->noon($today, 2), $this->noon($today, 4)]);
        app(OpenRound::class)($round, $this->coordinator);
        $this->at($first, 1, 13);
        app(PlanReviews::class)($round->refresh(), null);
        $members = RoundMember::query()->where('round_id', $round->id)->with('user')->orderBy('id')->get()
            ->sortBy(
                fn (RoundMember $one) => array_search($this->mail($one->user), array_keys($this->students), true)
            )->values();
        foreach ($members as $n => $member) {
            // Amaru, Bryn, Ceren and Dáithí are done; Efua and Gethin have begun; Hoku has begun nothing, Ilse gives
            // one back.
            $own = PeerReview::query()->where('round_member_id', $member->id)->with('mark', 'member.user', 'work')
                ->orderBy('id')->get();
            foreach ($own as $k => $review) {
                $this->at($first, 1, 15, $member->user, 20 * $n + 4 * $k);
                if ($n < 4 || ($n < 6 && $k < 2)) {
                    $this->write(
                        $review, 52 + (7 * $n + 5 * $k) % 24, 240 + 31 * $k, $n + $k, $n === 3 && ! $review->own,
                    );
                }
            }
        }
        $this->at($first, 1, 20, $members[7]->user);
        $back = PeerReview::query()->where('round_member_id', $members[7]->id)->where('own', false)->firstOrFail();
        app(ReturnReview::class)($back, WhyReturned::KnowIt, '');
        $this->at($first, 1, 20, $members[1]->user, 20);
        app(OfferReviews::class)($members[1], 1);
        $flagged = PeerReview::query()->where('round_id', $round->id)->where('own', false)
            ->where('round_member_id', $members[3]->id)->whereHas('mark', fn ($mark) => $mark->whereNotNull('done_at'))
            ->with('work.script.student')->orderBy('id')->firstOrFail();
        $this->at($first, 1, 21, $flagged->work->script->student);
        app(FlagReview::class)($flagged, WhyFlagged::Unkind, 'It says nothing of my letter, only of me.');
    }

    private function people(): void
    {
        [$code, $title] = $this->demo['module'];
        $this->module = Module::query()->create(['code' => $code, 'title' => $title]);
        $hash = Hash::make('low-water-mark');
        $join = function (User $user, Role $role): User {
            Membership::query()->create(['module_id' => $this->module->id, 'user_id' => $user->id, 'role' => $role]);

            return $user;
        };
        $make = fn (array $person, ?string $number = null): User => User::query()->forceCreate([
            'name' => $person[0], 'email' => "{$person[1]}@merrow.example", 'number' => $number, 'password' => $hash,
            'joined_at' => now(),
        ]);
        $join($this->coordinator, Role::Coordinator);
        foreach ($this->demo['tutors'] as $tutor) {
            $this->tutors[] = $join($make($tutor), Role::Tutor);
        }
        foreach ($this->demo['students'] as $n => $student) {
            $this->students[$student[1]] = $join($make($student, sprintf('M22%04d', $n + 1)), Role::Student);
        }
    }

    private function assignment(string $key, Carbon $due, HandInBy $by = HandInBy::Each): Assignment
    {
        $assignment = app(SaveAssignment::class)($this->module, null, [
            'title' => $this->demo[$key]['title'], 'brief' => $this->demo[$key]['brief'],
            'rubric_version_id' => $this->rubric->id,
            'bands' => config('harbor.bands.classes'), 'due_at' => $due, 'closes_at' => $due->copy()->addHours(6),
            'promised_on' => $due->copy()->addDays(10)->toDateString(), 'handin_by' => $by,
            'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'second' => 'none']),
        ], null);
        app(OpenAssignment::class)($assignment);

        return $assignment->refresh();
    }

    private function noon(Carbon $first, int $days): Carbon
    {
        return $first->copy()->addDays($days)->setTime(12, 0);
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array{Carbon, Carbon, Carbon}  $times  given out, due, answered
     */
    private function round(Assignment $assignment, string $title, array $settings, array $times): Round
    {
        return app(SaveRound::class)($assignment, null, $title, RoundSettings::fromArray($settings), [
            'begins_at' => $times[0], 'due_at' => $times[1], 'answers_due_at' => $times[2],
        ], $this->coordinator);
    }

    private function addTrial(Round $round): void
    {
        $choices = CriterionMarks::usual();
        foreach ($this->rubric->toCore()->criteria as $criterion) {
            assert($criterion instanceof LevelCriterion);
            $choices = $choices->with($criterion->id(), RailStop::mark(
                $criterion, $this->demo['trial']['aims'][$criterion->id()],
            )
                ->withComment($this->demo['trial']['why'][$criterion->id()]));
        }
        app(AddTrialScript::class)(
            $round, $this->demo['trial']['title'], $this->demo['trial']['text'], $choices, $this->coordinator,
        );
    }

    private function tryOut(Round $round, Carbon $first, int $day): void
    {
        $trial = $round->trials()->firstOrFail();
        foreach (
            RoundMember::query()->where('round_id', $round->id)->with('user')->orderBy('id')->get() as $n => $member
        ) {
            $this->at($first, $day, 10, $member->user, 5 * $n);
            $mark = new Mark(['choices' => CriterionMarks::usual()]);
            $mark->setRelation('rubricVersion', $this->rubric);
            app(SaveTrialMark::class)(
                $trial, $member, $this->choices($mark, $this->aim($this->mail($member->user), 72, $n)), true,
            );
            TrialMark::query()->where('round_member_id', $member->id)->firstOrFail();
        }
    }

    /** What someone would give work that staff give so much. */
    private function aim(string $who, float $staff, int $n): float
    {
        [, , , $lean, $spread] = $this->demo['students'][array_search($who, array_keys($this->students), true)];

        return max(12.0, min(95.0, $staff + $lean + $spread * sin(2.4 * $n + strlen($who))));
    }

    private function write(PeerReview $review, float $aim, int $seconds, int $n, bool $unkind = false): void
    {
        $own = $review->own;
        app(ChangeMark::class)($review->mark, function (Mark $stored) use ($aim, $seconds, $n, $unkind, $own): void {
            $choices = $this->choices($stored, $aim);
            foreach ($stored->rubric()->criteria as $k => $criterion) {
                $of = $this->demo[$own ? 'own_comments' : 'comments'][$criterion->id()];
                $choices = $choices->with($criterion->id(), $choices->on($criterion->id())->withComment(
                    $of[$aim < 52 ? 0 : ($aim < 66 ? 1 : 2)],
                ));
            }
            $stored->choices = $choices;
            $stored->general_comment = $own ? '' : ($unkind ? $this->demo['unkind'] : $this->demo['next'][$n % 3]);
            $stored->seconds = $seconds;
        });
        app(FinishReview::class)($review->refresh(), false) === []
            || app(FinishReview::class)($review->refresh(), true);
    }

    /**
     * @param  array<string, int>  $aims
     */
    private function mark(Assignment $assignment, array $aims, Carbon $first, int $hour = 14): void
    {
        $this->at($first, 5, $hour);
        app(ApplyPlan::class)(app(WorkOutPlan::class)($assignment->refresh(), array_map(
            fn (User $tutor) => ['marker' => $tutor->public_id, 'share' => '1', 'sections' => null], $this->tutors,
        ), 120, false, false, $this->coordinator), $this->coordinator);
        foreach (
            Mark::counting()->where('assignment_id', $assignment->id)->with('script.student', 'marker')->orderBy('id')
                ->get() as $n => $mark
        ) {
            $this->at($first, 6, 9, $mark->marker, 9 * $n);
            app(ChangeMark::class)($mark, function (Mark $stored) use ($aims, $mark): void {
                $stored->choices = $this->choices($stored, $aims[$this->mail($mark->script->student)]);
                $stored->general_comment = 'You choose one thing and look at it. Say next what it cannot tell.';
            });
            app(FinishMark::class)($mark->refresh());
        }
    }

    private function read(): void
    {
        app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
    }

    private function mail(User $user): string
    {
        return explode('@', $user->email)[0];
    }

    private function at(Carbon $first, int $days, int $hour = 10, ?User $as = null, int $minutes = 0): void
    {
        Carbon::setTestNow($first->copy()->addDays($days)->setTime($hour, 0)->addMinutes($minutes));
        Auth::setUser($as ?? $this->coordinator);
    }
}
