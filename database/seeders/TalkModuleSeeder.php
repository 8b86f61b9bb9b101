<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Collect\FinishHandIn;
use App\Actions\Discuss\FlagPost;
use App\Actions\Discuss\FollowTopic;
use App\Actions\Discuss\FreezeDueDiscussions;
use App\Actions\Discuss\NoteTopicRead;
use App\Actions\Discuss\PinPost;
use App\Actions\Discuss\SaveTopic;
use App\Actions\Discuss\TakeBackPost;
use App\Actions\Discuss\WritePost;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Observe\DrawSlots;
use App\Actions\Observe\PublishSlots;
use App\Actions\Observe\SaveGround;
use App\Actions\Observe\TakeEvents;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Screen\CompareHandin;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Enums\Role;
use App\Enums\WorkForm;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\OverlapReport;
use App\Models\Post;
use App\Models\RubricVersion;
use App\Models\Topic;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use YoungHarbor\Core\Discussion\Settings;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Observing\Settings as Observing;
use YoungHarbor\Core\Rubric\Draft;

/**
 * A module whose students argue: a discussion that has ended, is frozen and half marked, and one in the middle, in two
 * sections, with a post that was taken back, one that was pointed out and some who have not written; and speeches that
 * two people observe, of which the first day is over.
 */
final class TalkModuleSeeder
{
    use ChoosesByAim;

    private Module $module;

    /** @var array<string, mixed> */
    private array $demo;

    private User $tutor;

    private User $second;

    private Assignment $viva;

    /** @var list<User> */
    private array $students = [];

    private RubricVersion $rubric;

    public function __construct(private readonly User $coordinator)
    {
        $this->demo = require database_path('demo/talk.php');
    }

    /** The discussion that has ended: seven days from this one. */
    public function over(Carbon $first): void
    {
        $this->at($first, 0, 8, $this->coordinator);
        $this->people();
        $this->rubric = app(MakeRubricReady::class)(app(AddRubric::class)(
            Draft::of($this->demo['rubric']), $this->coordinator, $this->module,
        ), 1, $this->coordinator);
        $demo = $this->demo['over'];
        $talk = $this->assignment($demo, ['posts' => 1, 'replies' => 1, 'words' => 30, 'goes_on' => true], [
            'due_at' => $first->copy()->addDays(3)->setTime(18, 0), 'closes_at' => $first->copy()->addDays(5)->setTime(18, 0),
        ]);
        $topics = $this->topics($talk, $demo['topics']);
        foreach ($demo['topics'] as $n => [, , $posts]) {
            $this->write($topics[$n], $posts, $first);
        }
        $this->at($first, 5, 18, null, 1);
        app(FreezeDueDiscussions::class)();
        Auth::forgetUser();
        foreach (Handin::query()->whereNull('read_at')->get() as $handin) {
            app(FinishHandIn::class)([$handin->id]);
        }
        $reports = OverlapReport::query()->whereHas('handin.script', fn ($script) => $script->where('assignment_id', $talk->id));
        foreach ($reports->orderBy('handin_id')->get() as $report) {
            app(CompareHandin::class)($report->handin);
        }
        [$who, $text] = $demo['later'];
        $this->at($first, 5, 20, $this->students[$who]);
        app(WritePost::class)($topics[0]->fresh(['assignment']), $this->students[$who], $text);
        $this->at($first, 6, 10, $this->coordinator);
        app(ApplyPlan::class)(app(WorkOutPlan::class)($talk->refresh(), [
            ['marker' => $this->tutor->public_id, 'share' => '1', 'sections' => null],
        ], 1302, false, false, $this->coordinator), $this->coordinator);
        $marks = Mark::counting()->whereHas('script', fn ($script) => $script->where('assignment_id', $talk->id))->orderBy('id');
        foreach ($marks->limit(3)->get() as $n => $mark) {
            $this->at($first, 6, 14, $this->tutor, 25 * $n);
            app(ChangeMark::class)($mark, fn (Mark $stored) => $stored->fill([
                'choices' => $this->choices($stored, min(82, 45 + $stored->handin->words / 9)),
                'general_comment' => 'You take what others say seriously and you say where your own claim rests. Next, say what would have to be true for you to be wrong.',
            ]));
            app(FinishMark::class)($mark->refresh());
        }
    }

    /** The one in the middle, around today; it was planned on another day. Posts leave no line in the logbook. */
    public function now(Carbon $planned, Carbon $today): void
    {
        $demo = $this->demo['now'];
        $this->at($planned, 0, 11, $this->coordinator);
        $talk = $this->assignment($demo, [
            'audience' => 'section', 'posts' => 1, 'replies' => 2, 'words' => 30, 'edit_minutes' => 60,
        ], [
            'opens_at' => $today->copy()->subDays(8), 'due_at' => $today->copy()->subDays(2)->setTime(18, 0),
            'closes_at' => $today->copy()->addDays(4)->setTime(18, 0),
        ]);
        $topics = $this->topics($talk, $demo['topics']);
        // In order of time over all topics and sections, as people wrote.
        $all = [];
        foreach ($demo['topics'] as $n => [, , $a, $b]) {
            foreach ([$a, $b] as $section => $posts) {
                foreach ($posts as $number => $post) {
                    $all[] = [$n, "{$n} {$section} {$number}", "{$n} {$section} ", $post];
                }
            }
        }
        [$back, $flag] = [$demo['taken_back'], $demo['flagged']];
        $all[] = [0, 'back', '0 0 ', [...array_slice($back, 0, 4), 0, $back[4]]];
        $all[] = [0, 'flag', '0 1 ', [...array_slice($flag, 0, 4), 3, $flag[4]]];
        usort($all, fn (array $one, array $other) => array_slice($one[3], 1, 3) <=> array_slice($other[3], 1, 3));
        $made = [];
        foreach ($all as [$n, $key, $prefix, [$who, $day, $hour, $minute, $answers, $text]]) {
            $made[$key] = $this->say($topics[$n], $who, $today, [$day, $hour, $minute], $text, $answers === null ? null
                : $made[$prefix.$answers]);
            $key === 'back' && app(TakeBackPost::class)($made[$key]);
        }
        $this->at($today, $flag[1], $flag[2], $this->students[9], $flag[3] + 20);
        app(FlagPost::class)($made['flag'], $this->students[9], $flag[5]);
        $this->at($today, -1, 9, $this->tutor);
        $hint = app(WritePost::class)($topics[0]->fresh(['assignment']), $this->tutor, $demo['bell'], room: 'A');
        app(PinPost::class)($hint, true);
        app(FollowTopic::class)($topics[0], $this->tutor, true);
        foreach ([0, 2] as $who) {
            app(NoteTopicRead::class)($topics[0], $this->students[$who], $hint->id - 2);
        }
    }

    /** Something observed by two: slots on two days, published. It was planned on another day. */
    public function planned(Carbon $planned, Carbon $today): void
    {
        $this->at($planned, 0, 12, $this->coordinator);
        $demo = $this->demo['viva'];
        $rubric = app(MakeRubricReady::class)(app(AddRubric::class)(
            Draft::of($demo['rubric']), $this->coordinator, $this->module,
        ), 1, $this->coordinator);
        $this->viva = app(SaveAssignment::class)($this->module, null, [
            'form' => WorkForm::Observed, 'title' => $demo['title'], 'brief' => $demo['brief'],
            'observing' => Observing::fromArray(['minutes' => 15, 'gap' => 5, 'rules' => $demo['rules']]), 'rubric_version_id' => $rubric->id,
            'bands' => config('harbor.bands.classes'), 'self_checks' => 0,
            'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'second' => 'every']),
            'due_at' => $today->copy()->addDays(5)->setTime(18, 0), 'closes_at' => null,
        ], null);
        app(OpenAssignment::class)($this->viva);
        $both = [$this->tutor->id, $this->second->id];
        $first = $today->copy()->subDay();
        app(SaveGround::class)($this->viva, 'Sail loft', $first->copy()->setTime(8, 30), $first->copy()->setTime(10, 0), $both);
        $then = $today->copy()->addDays(2);
        app(SaveGround::class)($this->viva, 'Harbour office', $then->copy()->setTime(13, 0), $then->copy()->setTime(16, 0), $both);
        app(DrawSlots::class)($this->viva, $this->coordinator);
        app(PublishSlots::class)($this->viva, $this->coordinator);
    }

    /** The first day of it, as two devices recorded it. */
    public function watched(): void
    {
        foreach ($this->viva->slots()->with('script', 'observers')->limit(4)->get() as $n => $slot) {
            [$course, $steps, $levels, $note, $others, $theirs] = $this->demo['viva']['seen'][$n];
            $seats = [[
                Seat::First, $steps, $levels, $note,
            ], ...($others === null ? [] : [[Seat::Second, $others, $theirs, null]])];
            foreach ($seats as [$seat, $seen, $chosen, $words]) {
                $mark = Mark::counting()->where('script_id', $slot->script_id)->where('seat', $seat)->sole();
                Carbon::setTestNow($slot->ends_at->copy()->addMinutes($seat === Seat::First ? 1 : 2));
                Auth::setUser($mark->marker);
                app(TakeEvents::class)($mark, $this->recorded($slot->starts_at, $course, $seen, $chosen, $words), 0);
                $seen === null || app(FinishMark::class)($mark->refresh());
            }
        }
    }

    /**
     * @param  list<string>|null  $steps
     * @param  list<string>|null  $levels
     * @return list<array<string, mixed>>
     */
    private function recorded(Carbon $from, string $course, ?array $steps, ?array $levels, ?string $note): array
    {
        $events = $course === 'usual' ? [] : [['course', '', $course, 4]];
        if ($steps !== null && $levels !== null) {
            $late = $course === 'late' ? 240 : 0;
            array_push($events, [
                'start', '', '', $late + 5,
            ], ['pause', '', '', $late + 780], ['level', 'c2', $levels[0], 815], ['level', 'c3', $levels[1], 840]);
            foreach ($steps as $n => $seen) {
                $events[] = ['step', 'c1/s'.($n + 1), $seen, $late + [35, 260, 330, 372][$n]];
            }
            $note === null || $events[] = ['note', 'student', $note, $late + 505];
        }

        return array_map(fn (array $one, int $n) => [
            'id' => Str::uuid()->toString(), 'kind' => $one[0], 'about' => $one[1], 'value' => $one[2], 'number' => $n,
            'at' => (int) $from->copy()->addSeconds($one[3])->getPreciseTimestamp(3),
        ], $events, array_keys($events));
    }

    private function people(): void
    {
        [$code, $title] = $this->demo['module'];
        $this->module = Module::query()->create(['code' => $code, 'title' => $title]);
        $hash = Hash::make('low-water-mark');
        $join = function (array $person, Role $role) use ($hash): User {
            $user = User::query()->forceCreate([
                'name' => $person[0], 'email' => $person[1].'@merrow.example', 'number' => $person[2] ?? null,
                'password' => $hash, 'joined_at' => now(),
            ]);
            Membership::query()->create([
                'module_id' => $this->module->id, 'user_id' => $user->id, 'role' => $role, 'section' => $person[3] ?? null,
            ]);

            return $user;
        };
        Membership::query()->create([
            'module_id' => $this->module->id, 'user_id' => $this->coordinator->id, 'role' => Role::Coordinator,
        ]);
        $this->coordinator->unsetRelation('memberships');
        $this->tutor = $join($this->demo['tutor'], Role::Tutor);
        $this->second = $join($this->demo['second'], Role::Tutor);
        foreach ($this->demo['students'] as $student) {
            $this->students[] = $join($student, Role::Student);
        }
    }

    /**
     * @param  array<string, mixed>  $demo
     * @param  array<string, mixed>  $settings
     * @param  array<string, mixed>  $times
     */
    private function assignment(array $demo, array $settings, array $times): Assignment
    {
        return app(SaveAssignment::class)($this->module, null, [
            'form' => WorkForm::Discussion, 'title' => $demo['title'], 'brief' => $demo['brief'],
            'discussion' => Settings::fromArray($settings), 'rubric_version_id' => $this->rubric->id,
            'bands' => config('harbor.bands.classes'), 'self_checks' => 0,
            'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'second' => 'none']), ...$times,
        ], null);
    }

    /**
     * @param  list<array<int, mixed>>  $of
     * @return list<Topic>
     */
    private function topics(Assignment $talk, array $of): array
    {
        $topics = array_map(fn (array $one) => app(SaveTopic::class)($talk, null, $one[0], $one[1], null), $of);
        app(OpenAssignment::class)($talk);

        return $topics;
    }

    /**
     * @param  list<array<int, mixed>>  $posts
     */
    private function write(Topic $topic, array $posts, Carbon $first): void
    {
        $made = [];
        foreach ($posts as [$who, $day, $hour, $minute, $answers, $text]) {
            $made[] = $this->say(
                $topic, $who, $first, [$day, $hour, $minute], $text, $answers === null ? null : $made[$answers],
            );
        }
    }

    /**
     * @param  array{int, int, int}  $when  day, hour, minute
     */
    private function say(Topic $topic, int|string $who, Carbon $first, array $when, string $text, ?Post $answers): Post
    {
        $by = is_int($who) ? $this->students[$who] : $this->tutor;
        $this->at($first, $when[0], $when[1], $by, $when[2]);

        return app(WritePost::class)($topic->fresh(['assignment']), $by, $text, $answers, room: is_int($who) ? null : '');
    }

    private function at(Carbon $first, int $day, int $hour, ?User $as, int $minute = 0): void
    {
        Carbon::setTestNow($first->copy()->addDays($day)->setTime($hour, $minute));
        $as === null ? Auth::forgetUser() : Auth::setUser($as);
    }
}
