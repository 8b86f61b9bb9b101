<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Moderate\AcceptProposal;
use App\Actions\Moderate\DrawSample;
use App\Actions\Moderate\ProposeMark;
use App\Actions\Moderate\SetModerators;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Sample;
use App\Models\User;
use App\Queries\Moderate\SamplePlanning;
use App\Queries\Moderate\SampleScope;
use Brick\Math\RoundingMode;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * A cohort large enough for figures on how people mark to say something: first marks of two evenings each, one marker
 * harsher than the others, one whose marks fall in the course of an evening, and a sample marked twice. Marks by seed.
 */
final class CohortSeeder
{
    use ChoosesByAim;

    private const SITTING = 18;

    private readonly Randomizer $random;

    /**
     * @param  array<string, mixed>  $rubric  a draft
     */
    public function __construct(private readonly User $coordinator, private readonly array $rubric)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(1838));
    }

    /** Everything happens in the ten days from this one. */
    public function run(Carbon $first): void
    {
        $demo = require database_path('demo/cohort.php');
        $this->at($first, 0, 8, $this->coordinator);
        $module = Module::query()->create(['code' => 'HT110', 'title' => 'Reading the Shore']);
        [$other, $markers, $students] = $this->people($module, $demo);
        $rubric = app(AddRubric::class)(
            Draft::of(['title' => 'One document, year 1'] + $this->rubric), $this->coordinator, $module,
        );
        $assignment = app(SaveAssignment::class)($module, null, [
            'title' => 'Commentary: one document from the shore',
            'rubric_version_id' => app(MakeRubricReady::class)($rubric, 1, $this->coordinator)->id,
            'bands' => config('harbor.bands.classes'),
            'brief' => 'Take one document from the reader and say who wrote it, for whom, and what it leaves out.',
            'due_at' => $first->copy()->addDay()->setTime(18, 0),
            'closes_at' => $first->copy()->addDay()->setTime(19, 0),
            'promised_on' => $first->copy()->addDays(80)->toDateString(),
            'scheme' => Scheme::fromArray([
                ...Scheme::usual()->toArray(), 'second' => 'sample', 'tolerance' => '6',
                'sample' => [
                    'share' => '0.25', 'least' => 12, 'root' => false, 'fails' => true, 'top' => true, 'near' => '1',
                ],
            ]),
            'screening' => Screening::fromArray(['min_words' => 40, 'look' => '99', 'look_closely' => '100']),
        ], null);
        app(OpenAssignment::class)($assignment);
        $this->handIn($assignment, $students, $demo, $first);
        $this->at($first, 2, 9, $this->coordinator);
        app(ApplyPlan::class)(app(WorkOutPlan::class)($assignment->refresh(), array_map(
            fn (array $one) => ['marker' => $one[0]->public_id, 'share' => '1', 'sections' => null], $markers,
        ), 1838, false, false, $this->coordinator), $this->coordinator);
        $quality = [];
        foreach ($assignment->scripts()->orderBy('id')->pluck('id') as $id) {
            $quality[$id] = 57 + 4 * $this->normal();
        }
        $this->mark($assignment, Seat::First, $markers, $quality, $first->copy()->addDays(3));
        $this->at($first, 7, 10, $this->coordinator);
        $this->draw($assignment->refresh(), array_map(fn (array $one) => $one[0]->public_id, $markers));
        $this->mark($assignment, Seat::Second, $markers, $quality, $first->copy()->addDays(7));
        $this->at($first, 9, 11, $this->coordinator);
        $this->agree($assignment->refresh());
        $this->at($first, 9, 12, $this->coordinator);
        app(SetModerators::class)($assignment, [$other->public_id], $this->coordinator);
    }

    /**
     * @param  array<string, mixed>  $demo
     * @return array{User, list<array{User, float, float}>, list<User>}
     */
    private function people(Module $module, array $demo): array
    {
        $hash = Hash::make('low-water-mark');
        $join = function (
            array $person, Role $role, ?string $number = null, ?string $section = null,
        ) use ($module, $hash): User {
            $user = User::query()->forceCreate([
                'name' => $person[0], 'email' => $person[1].'@merrow.example', 'number' => $number, 'password' => $hash,
                'joined_at' => now(),
            ]);
            Membership::query()->create(
                ['module_id' => $module->id, 'user_id' => $user->id, 'role' => $role, 'section' => $section],
            );

            return $user;
        };
        Membership::query()->create(
            ['module_id' => $module->id, 'user_id' => $this->coordinator->id, 'role' => Role::Coordinator],
        );
        $other = $join($demo['coordinator'], Role::Coordinator);
        $markers = array_map(fn (array $one) => [$join($one[0], Role::Tutor), $one[1], $one[2]], $demo['markers']);
        $students = [];
        foreach ($demo['given'] as $g => $given) {
            foreach ($demo['family'] as $f => $family) {
                $n = count($students);
                $students[] = $join(
                    ["{$given} {$family}", sprintf('f%d.%s', $n + 1, mb_strtolower(explode('-', $family)[0]))],
                    Role::Student,
                    sprintf('M21%04d', $n + 1), chr(ord('A') + $n % 6),
                );
            }
        }

        return [$other, $markers, $students];
    }

    /**
     * @param  list<User>  $students
     * @param  array<string, mixed>  $demo
     */
    private function handIn(Assignment $assignment, array $students, array $demo, Carbon $first): void
    {
        foreach ($students as $n => $student) {
            $this->at($first, 1, 9, $student, 2 * $n);
            app(TakeHandIn::class)($assignment, $student, (string) preg_replace_callback(
                '/\{(\w+)\}/',
                fn (array $m) => $demo['gaps'][$m[1]][$this->random->getInt(0, count($demo['gaps'][$m[1]]) - 1)],
                implode(' ', $this->random->shuffleArray($demo['pieces'])),
            ), null);
        }
        app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
    }

    /** Who does not lie within the tolerance meets in the middle. */
    private function agree(Assignment $assignment): void
    {
        $script = $assignment->scripts()->where('standing', Standing::ToSettle)->with('marks.marker')->orderBy('id');
        foreach ($script->get() as $one) {
            [$first, $second] = [$one->mark(Seat::First), $one->mark(Seat::Second)];
            if ($first === null || $second === null) {
                continue;
            }
            Auth::setUser($second->marker);
            $middle = $first->exactTotal()->plus($second->exactTotal())->dividedBy(2, 1, RoundingMode::HALF_UP);
            $proposal = app(ProposeMark::class)($one, $second->marker, MarkOffer::total(
                (string) $middle, Feedback::usual(), 'We read it again together and meet in the middle.',
            ));
            Auth::setUser($first->marker);
            app(AcceptProposal::class)($one, $proposal->id, $first->marker);
        }
    }

    /**
     * @param  list<array{User, float, float}>  $markers
     * @param  array<int, float>  $quality  by script
     */
    private function mark(Assignment $assignment, Seat $seat, array $markers, array $quality, Carbon $from): void
    {
        $work = [];
        foreach ($markers as $m => [$marker, $higher, $falls]) {
            $marks = Mark::counting()->where('assignment_id', $assignment->id)->where('marker_id', $marker->id)
                ->where('seat', $seat)->orderBy('queue_place')->get();
            $marks = $this->random->shuffleArray($marks->sortBy('script_id')->values()->all());
            foreach ($marks as $n => $mark) {
                $place = $n % self::SITTING;
                $at = $from->copy()->addDays(intdiv($n, self::SITTING))->setTime(18, $m)->addMinutes(10 * $place);
                $aim = $quality[$mark->script_id] + $higher + $falls * (
                    $seat === Seat::First ? $place : (self::SITTING - 1) / 2
                )
                    + 3 * $this->normal();
                $work[] = [$at, $mark, $marker, $aim];
            }
        }
        usort($work, fn (array $a, array $b) => $a[0] <=> $b[0]);
        foreach ($work as [$at, $mark, $marker, $aim]) {
            Carbon::setTestNow($at);
            Auth::setUser($marker);
            app(ChangeMark::class)($mark, function (Mark $stored) use ($aim): void {
                $stored->choices = $this->choices($stored, $aim);
                $stored->general_comment = 'Read as agreed in the meeting.';
            });
            app(FinishMark::class)($mark->refresh());
        }
    }

    /**
     * @param  list<string>  $markers
     */
    private function draw(Assignment $assignment, array $markers): void
    {
        $rule = $assignment->scheme->sample();
        $seed = Sample::seedFor($assignment);
        $draft = app(SamplePlanning::class)->draft($assignment, SampleScope::New, $markers, $rule, $seed);
        app(DrawSample::class)(
            $assignment, SampleScope::New, $markers, $rule, $seed, null, $draft->digest, $this->coordinator,
        );
    }

    /** Of a standard normal distribution (Box and Muller 1958). */
    private function normal(): float
    {
        $uniform = fn (): float => ($this->random->getInt(1, 1 << 30) - 0.5) / (1 << 30);

        return sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
    }

    private function at(Carbon $first, int $days, int $hour, User $as, int $minutes = 0): void
    {
        Carbon::setTestNow($first->copy()->addDays($days)->setTime($hour, 0)->addMinutes($minutes));
        Auth::setUser($as);
    }
}
