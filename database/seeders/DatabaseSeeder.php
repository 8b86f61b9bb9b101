<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Collect\ChangeAllowance;
use App\Actions\Collect\ChangeExtension;
use App\Actions\Collect\ChangeMember;
use App\Actions\Collect\CheckDraft;
use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\SaveClosureDays;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Collect\WaiveLateness;
use App\Actions\Collect\WriteToStudents;
use App\Actions\FirstFeedback\AskAssistant;
use App\Actions\FirstFeedback\SayWhatWasUsed;
use App\Actions\FirstFeedback\TakeRemarks;
use App\Actions\Keeping\SetPeriods;
use App\Actions\Mark\AddToBankSet;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\MakeBankSet;
use App\Actions\Mark\SaveChoice;
use App\Actions\Mark\SyncDesk;
use App\Actions\Moderate\ProposeMark;
use App\Actions\Moderate\SetModerators;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\AddStarterSet;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Reflect\OpenSheet;
use App\Actions\Reflect\SaveSheet;
use App\Actions\Reflect\WriteSheet;
use App\Actions\Release\AskForReview;
use App\Actions\Release\CorrectResult;
use App\Actions\Release\RateFeedback;
use App\Actions\Release\ReadThreads;
use App\Actions\Release\RecordOpening;
use App\Actions\Release\RecordReadingTime;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\RevealNames;
use App\Actions\Release\SayInReply;
use App\Actions\Release\SetRelease;
use App\Actions\Release\WriteReflection;
use App\Actions\Screen\AddFilesToBaseline;
use App\Actions\Screen\AddToArchive;
use App\Actions\Screen\AskDetector;
use App\Actions\Screen\CompareDraft;
use App\Actions\Screen\CompareHandin;
use App\Actions\Screen\MakeBaseline;
use App\Actions\Screen\MeasureWriting;
use App\Actions\Screen\RecordConversation;
use App\Actions\Screen\SearchWeb;
use App\Actions\Screen\WorkOutBaseline;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\PickTogether;
use App\Actions\ShareOut\RecordConflict;
use App\Actions\ShareOut\SaveLevelNotes;
use App\Actions\ShareOut\WorkOutPlan;
use App\Documents\Pdf;
use App\Documents\ScriptText;
use App\Enums\ConversationFinding;
use App\Enums\HandInBy;
use App\Enums\MailState;
use App\Enums\ReviewGround;
use App\Enums\Role;
use App\FirstFeedback\Assistant;
use App\Jobs\ReadDraftJob;
use App\Models\Assignment;
use App\Models\BankComment;
use App\Models\DraftCheck;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Notice;
use App\Models\Result;
use App\Models\RubricVersion;
use App\Models\Script;
use App\Models\TypedText;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Models\WritingReport;
use App\Notices\Notices;
use App\Queries\Collect\Cohort;
use App\Release\ReleasePlan;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Seeder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use YoungHarbor\Core\Collect\Declaration;
use YoungHarbor\Core\FirstFeedback\Answer;
use YoungHarbor\Core\FirstFeedback\Remark;
use YoungHarbor\Core\FirstFeedback\StandIn;
use YoungHarbor\Core\Keeping\Periods;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Release\Scope;
use YoungHarbor\Core\Release\Settings as Release;
use YoungHarbor\Core\Release\SheetSettings;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;
use YoungHarbor\Core\Screening\Settings as Screening;
use YoungHarbor\Core\Text\CommentKind;
use ZipArchive;

/**
 * The demo: Merrow Coast College, HT210. Everything goes through the same actions as in the running application, at
 * times that lie around today; people, texts and marks are made up.
 */
final class DatabaseSeeder extends Seeder
{
    private const DECLARED = [
        [
            'id' => 'own', 'kind' => 'confirm',
            'label' => 'This is my own work. What I took from others is marked as theirs.', 'required' => true,
        ],
        [
            'id' => 'tools', 'kind' => 'words',
            'label' => 'Tools I used (writing aids, translation, AI), and what for', 'required' => true,
        ],
        ['id' => 'people', 'kind' => 'words', 'label' => 'People who helped me, and with what', 'required' => true],
    ];

    private Module $module;

    private User $coordinator;

    private User $examiner;

    /** @var list<User> */
    private array $tutors = [];

    /** @var array<string, User> by the first part of their mail address */
    private array $students = [];

    private Carbon $today;

    public function run(): void
    {
        Queue::fake();
        Mail::fake();
        $this->today = Carbon::today('Europe/London')->setTime(9, 0)->utc();
        try {
            // In the order of their days: the logbook runs forward.
            $this->people();
            (new ClosedModuleSeeder(
                $this->coordinator, $this->examiner, (require database_path('demo/rubrics.php'))['essay'],
            ))->run($this->day(-150));
            $peers = new PeerModuleSeeder($this->coordinator, (require database_path('demo/rubrics.php'))['commentary']);
            $peers->finished($this->day(-100));
            $peers->walked($this->day(-93));
            $rubrics = $this->rubrics();
            (
                new CohortSeeder($this->coordinator, (require database_path('demo/rubrics.php'))['essay'])
            )->run($this->day(-68));
            $this->closureDays();
            $talk = new TalkModuleSeeder($this->coordinator);
            $talk->over($this->day(-57));
            $this->whoLeft();
            $this->bank();
            $this->archive();
            $trusted = $this->trusted();
            $this->practice($rubrics['commentary']);
            $this->sampled($rubrics['commentary']);
            $talk->now($this->day(-19), $this->today);
            $talk->planned($this->day(-19), $this->today);
            $essay = $this->essay($rubrics['essay'], $trusted);
            $this->judged($essay);
            $next = $this->open($rubrics['essay']);
            $peers->underWay($this->day(-3), $this->today);
            $talk->watched();
            $this->arrangements($next);
            $this->proposeOne($essay);
            $this->plannedRelease($essay);
            $this->planned($rubrics['walk']);
            $this->early($next);
            $this->sheet();
            $this->keeping();
            // Mails of that time are not sent now.
            Notice::query()->update(['mail' => MailState::Sent, 'sent_at' => DB::raw('created_at')]);
        } finally {
            Carbon::setTestNow();
            Auth::forgetUser();
        }
    }

    /** For how long what is kept; a module that is over keeps texts for a shorter time, and some of them are due. */
    private function keeping(): void
    {
        $office = User::query()->where('is_admin', true)->firstOrFail();
        $set = app(SetPeriods::class);
        $set(null, Periods::fromArray([
            'texts' => 24, 'recordings' => 12, 'screening' => 12, 'conversations' => 24, 'marks' => 72, 'mail' => 12,
            'logbook' => 84,
        ]), 'Schedule of records of the college, agreed by the academic board.', $office);
        $closed = Module::query()->whereKeyNot($this->module->id)->orderBy('id')->firstOrFail();
        $set($closed, Periods::fromArray(['texts' => 2]), 'Work was handed back on paper.', $this->coordinator);
    }

    private function people(): void
    {
        $this->at(-155);
        $people = require database_path('demo/people.php');
        $make = $this->make(...);
        $make($people['admin'], ['is_admin' => true]);
        $this->module = Module::query()->create(['code' => 'HT210', 'title' => 'Coastal Communities and Change']);
        $this->coordinator = $this->join($make($people['coordinator']), Role::Coordinator);
        $this->examiner = $this->join($make($people['examiner']), Role::Examiner);
        foreach ($people['tutors'] as $tutor) {
            $this->tutors[] = $this->join($make($tutor), Role::Tutor);
        }
        foreach ($people['students'] as $student) {
            $this->students[$student[1]] = $this->join($make($student), Role::Student, $student[3]);
        }
    }

    private function closureDays(): void
    {
        $this->at(-58, as: $this->coordinator);
        app(SaveClosureDays::class)(
            $this->module,
            [$this->day(16)->toDateString() => 'Harbour fair', $this->day(17)->toDateString() => 'Harbour fair'],
            $this->coordinator,
        );
    }

    private function whoLeft(): void
    {
        $this->at(-50, as: $this->coordinator);
        $left = $this->join($this->make((require database_path('demo/people.php'))['left']), Role::Student, 'B');
        app(ChangeMember::class)(
            Membership::query()->where('user_id', $left->id)->sole(), 'B', true, $this->coordinator,
        );
    }

    /**
     * @param  array<int, string|null>  $person  name, first part of the mail address, number
     * @param  array<string, mixed>  $more
     */
    private function make(array $person, array $more = []): User
    {
        return User::query()->forceCreate([
            'name' => $person[0], 'email' => $person[1].'@merrow.example', 'number' => $person[2] ?? null,
            'password' => 'low-water-mark', 'joined_at' => now(), ...$more,
        ]);
    }

    private function join(User $user, Role $role, ?string $section = null): User
    {
        Membership::query()->create(
            ['module_id' => $this->module->id, 'user_id' => $user->id, 'role' => $role, 'section' => $section]
        );

        return $user;
    }

    /**
     * @return array<string, RubricVersion>
     */
    private function rubrics(): array
    {
        $office = User::query()->where('is_admin', true)->sole();
        $this->at(-90, as: $office);
        app(AddStarterSet::class)($office);
        $this->at(-69, as: $this->coordinator);
        $ready = [];
        foreach (require database_path('demo/rubrics.php') as $key => $document) {
            $rubric = app(AddRubric::class)(Draft::of($document), $this->coordinator, $this->module);
            if ($key !== 'presentation') { // stays a working copy, ten short of 100
                $ready[$key] = app(MakeRubricReady::class)($rubric, 1, $this->coordinator);
            }
        }

        return $ready;
    }

    /** Released and read: an optional commentary that five students took up. */
    private function practice(RubricVersion $rubric): void
    {
        $assignment = $this->assignment([
            'title' => 'Practice: one source, closely', 'rubric_version_id' => $rubric->id,
            'screening' => Screening::fromArray(['students' => true]),
            'brief' => "Optional. Choose one document from the reader and say in about 200 words what it can and cannot tell us.\n\nYou will get a mark and comments, so that you know how the essay will be read.",
            'due_at' => $this->day(-41, 12), 'closes_at' => $this->day(-40, 12),
            'promised_on' => $this->day(-35)->toDateString(),
            'release' => Release::fromArray([
                'absent' => 'nothing', 'marks_shared' => true, 'review_days' => 10, 'answer_days' => 36, 'reflection' => [
                    'prompts' => ['Which comment will you use in the essay, and how?', 'What went well, and why?'],
                    'words' => 8, 'days' => 14,
                ],
            ]),
        ], -46);
        foreach (require database_path('demo/notes.php') as $who => $note) {
            $this->at(-42, 15, $this->students[$who]);
            $this->handIn($assignment, $this->students[$who], $note);
        }
        $this->screen($assignment);
        $this->shareOut($assignment, array_slice($this->tutors, 0, 2), 1127, -39);
        foreach ($this->marks($assignment) as $n => $mark) {
            $this->mark($mark, [0.62, 0.74, 0.55, 0.83, 0.68][$mark->script->student_id % 5], -38, 10 + $n);
        }
        $this->at(-37, as: $this->coordinator);
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        app(RevealNames::class)($assignment);
        foreach (
            Script::query()->where('assignment_id', $assignment->id)->whereHas('result')->orderBy('id')->get()->skip(1)
                ->sortBy(fn (Script $script) => $script->id % 4) as $script
        ) {
            $this->at(-36, 18 + $script->id % 4, $script->student);
            app(RecordOpening::class)($script->result()->sole());
        }
        $this->answered($assignment);
    }

    /** After the release: a reply and its answer, a reflection, a review that is to be answered, a corrected result. */
    private function answered(Assignment $assignment): void
    {
        $of = fn (string $who): Result => Result::query()->whereNull('replaced_at')->whereIn(
            'script_id', $assignment->scripts()->where('student_id', $this->students[$who]->id)->select('id'),
        )->with('script')->sole();
        $zoe = $of('zoe.ng');
        $comment = $zoe->document['comments'][0]['id'];
        $this->at(-36, 20, $this->students['zoe.ng'], 45);
        app(RecordReadingTime::class)($zoe, array_column($zoe->document['comments'], 'id'));
        $reply = app(SayInReply::class)(
            $zoe->script, "comment:{$comment}",
            'I thought the vellum was the point: whoever hangs it up wants it seen. Should I say first what it leaves out?',
            null, $this->students['zoe.ng'],
        );
        $marker = User::query()->findOrFail($reply->thread->markers()[0]);
        $this->at(-35, 10, $marker);
        app(ReadThreads::class)([$reply->thread], $marker);
        app(Notices::class)->readAt($marker->id, route('replies.show', $reply->thread, false));
        app(SayInReply::class)(
            $zoe->script, $reply->thread->about,
            'Say what it is for, as you do, and then what it keeps quiet about: the fines. That is your argument.',
            null, $marker,
        );
        app(RateFeedback::class)($zoe, "comment:{$comment}", true);
        $this->at(-35, 12, $this->students['hana.kovarova']);
        app(WriteReflection::class)(
            $of('hana.kovarova'),
            [
                'I will use the comment on the second reason the wardens give. In the essay I will set two documents against each other, and say why each was written before I say what it tells.',
                'I said what the source cannot tell before I used it, and that kept the last paragraph short.',
            ],
        );
        $this->at(-35, 15, $this->students['dafydd.aprhys']);
        app(AskForReview::class)(
            $of('dafydd.aprhys'), ReviewGround::Overlooked,
            'The level for placing it says “date and place only”. My second paragraph says who wrote the note, with which ink and when it was added. I think that this was overlooked.',
            null, $this->students['dafydd.aprhys'],
        );
        $leila = $of('leila.haddad');
        $this->at(-35, 17, $this->coordinator);
        $mark = (string) (round((float) $leila->mark) + 4);
        app(CorrectResult::class)(
            $leila,
            MarkOffer::total(
                $mark, Feedback::usual(),
                'The comparison with an inland spa, which both levels ask for, stands in the last sentence.',
            ),
            "Your last sentence proposes the comparison that the level asks for, and it had been overlooked. The mark rises to {$mark}.",
            $this->coordinator,
        );
    }

    /** First marks are in, and the sample that is marked a second time is still to be drawn. */
    private function sampled(RubricVersion $rubric): void
    {
        $assignment = $this->assignment([
            'title' => 'Map study: one shore, two surveys', 'rubric_version_id' => $rubric->id,
            'brief' => 'Take one place on the surveys of 1838 and 1911 and say in 100 to 200 words what changed between them, and how you know.',
            'due_at' => $this->day(-26, 12), 'closes_at' => $this->day(-26, 18),
            'promised_on' => $this->day(3)->toDateString(),
            'scheme' => Scheme::fromArray([
                ...Scheme::usual()->toArray(), 'second' => 'sample', 'third_rule' => 'third-decides',
                'disagreement' => 'third',
            ]),
            'release' => Release::fromArray(['signatures' => ['moderator', 'examiner']]),
            // Everyone answers one question from two sheets, so texts are alike by nature.
            'screening' => Screening::fromArray(['min_words' => 40, 'look' => '99', 'look_closely' => '100']),
        ], -34);
        $pieces = require database_path('demo/surveys.php');
        foreach (array_values($this->students) as $n => $student) {
            if (isset($pieces[$n]) && $n !== 5) {
                $this->at(-27, 9 + intdiv($n, 3), $student, 20 * ($n % 3));
                $this->handIn($assignment, $student, $pieces[$n]);
            }
        }
        $this->screen($assignment);
        $this->shareOut($assignment, $this->tutors, 1838, -25);
        foreach ($this->marks($assignment) as $n => $mark) {
            $this->mark(
                $mark, [0.54, 0.64, 0.36, 0.55, 0.66, 0.45, 0.65, 0.53, 0.78, 0.44, 0.56][$n % 11], -23 + intdiv($n, 8),
                10 + $n % 8,
            );
        }
        $this->at(-19, 10, $this->coordinator);
        app(SetModerators::class)($assignment, [$this->tutors[0]->public_id], $this->coordinator);
    }

    /** Marked, being moderated: the module's main essay. */
    private function essay(RubricVersion $rubric, WritingBaseline $trusted): Assignment
    {
        $assignment = $this->assignment([
            'title' => 'Essay: A living from the edge', 'rubric_version_id' => $rubric->id,
            'brief' => "Choose one trade, tax, building or quarrel of a coastal community between 1600 and 1930, and argue what it changed and for whom. 500 to 900 words.\n\nUse at least two of the documents in the module reader and say what each was made for. An essay that only tells what happened will not reach the upper levels for argument.",
            'due_at' => $this->day(-9, 12), 'closes_at' => $this->day(-6, 12),
            'promised_on' => $this->day(8)->toDateString(), 'declaration' => self::DECLARED,
            'screening' => Screening::fromArray(['web' => true, 'joins_archive' => true, 'detector' => true]),
            'writing_baseline_id' => $trusted->id,
            'late_rule' => [
                'take' => 'points', 'amount' => '5', 'per' => 'day', 'grace_minutes' => 10, 'floor' => '40',
                'cut_off' => 5, 'weekends' => true, 'closures' => false,
            ],
        ], -16);
        $handins = require database_path('demo/handins.php');
        foreach ($handins as $n => $in) {
            // Most come in on the last day, many in its last hour.
            $handins[$n]['minute'] = ($in['late'] ?? false)
                ? 60 * (5 + 11 * ($n % 3)) + $n
                : -(2 + intdiv((7 * $n % 23) ** 3, 3));
        }
        usort($handins, fn (array $a, array $b) => $a['minute'] <=> $b['minute']);
        foreach ($handins as $n => $in) {
            $student = $this->students[$in['who']];
            $this->at(-9, 12, $student, $in['minute']);
            Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)
                ->update(['brief_opened_at' => $this->day(-15, 10 + $n % 9)]);
            $this->handIn(
                $assignment, $student, [$this->file($in['essay'], $in['as'], white: $in['white'] ?? '')],
                $this->declared($n),
            );
        }
        $this->screen($assignment);
        app(MeasureWriting::class)($assignment->refresh());
        if (config('harbor.detector.address') !== '') {
            foreach (WritingReport::query()->where('detector_state', 'waiting')->get() as $report) {
                app(AskDetector::class)($report);
            }
        }
        $this->at(-7, as: $this->coordinator);
        app(WaiveLateness::class)(
            Script::query()->where('assignment_id', $assignment->id)
                ->where('student_id', $this->students['leila.haddad']->id)->sole(),
            'The library’s network was down from 11:30 to 12:20.', $this->coordinator,
        );
        $this->together($assignment);
        $this->shareOut($assignment, $this->tutors, 4417, -5, ['aoife.nibhriain@merrow.example' => '0.8']);
        $marks = $this->marks($assignment);
        $turn = [];
        foreach ($marks as $n => $mark) {
            // Some of each tutor's work is left, so that there is something on every desk.
            $turn[$mark->marker_id.$mark->seat->value] = $nth = ($turn[$mark->marker_id.$mark->seat->value] ?? -1) + 1;
            $finish = $mark->seat->value === 'first' ? $nth !== 2 : $nth % 3 !== 1;
            if ($finish || $nth === 1) {
                $this->mark(
                    $mark,
                    self::quality($mark) + (
                        $mark->seat->value === 'second' && $mark->script->student_id % 6 === 0 ? 0.12 : 0
                    ),
                    -4, 9 + intdiv(9 * $n, count($marks)), $finish,
                );
            }
        }

        return $assignment;
    }

    /** How good a script is, as its marker sees it: the same whether they mark it alone or, before, with the others. */
    private static function quality(Mark $mark): float
    {
        $quality = [
            0.66, 0.58, 0.71, 0.49, 0.63, 0.77, 0.54, 0.69, 0.41, 0.60, 0.73, 0.57, 0.82, 0.52, 0.65, 0.38, 0.70, 0.61,
            0.47, 0.75, 0.56, 0.68, 0.59,
        ];
        $severity = [
            'tomasz.wisniewski' => -0.02, 'aoife.nibhriain' => 0.03, 'kwabena.asante-mensah' => -0.06,
            'lin.hui' => 0.02,
        ];

        return $quality[$mark->script->student_id % count($quality)] + (
            $severity[strtok($mark->marker->email, '@')] ?? 0
        );
    }

    /** Not open yet: an assignment as it is planned, with a rubric of every kind of criterion. */
    private function planned(RubricVersion $rubric): void
    {
        $this->at(-1, 15, $this->coordinator);
        $assignment = app(SaveAssignment::class)($this->module, null, [
            'title' => 'Field record: the harbour walk', 'rubric_version_id' => $rubric->id,
            'brief' => "Walk one working or once-working waterfront with the sheet you find below, and hand in what you saw. 400 words and a sketch map.\n\nTake nobody’s word for a wall that you can touch.",
            'due_at' => $this->day(40, 12), 'closes_at' => $this->day(45, 12),
            'promised_on' => $this->day(60)->toDateString(),
            'bands' => config('harbor.bands.letters'),
            'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'second' => 'none']),
            'late_rule' => [
                'take' => 'points', 'amount' => '5', 'per' => 'day', 'grace_minutes' => 15, 'floor' => '40',
            ],
            'length_rule' => ['limit' => 400, 'amount' => '2', 'step' => 10, 'grace' => 10],
            'handin_kinds' => ['docx', 'odt', 'pdf', 'typed', 'link'], 'handin_by' => HandInBy::GroupOneMark,
            'max_files' => 3,
        ], null);
        $sheet = "Place:\nDate, tide and weather:\n\nStop 1\nWhat I see:\nWhat I measured:\nWhat the map says:\n\nStop 2\n";
        $this->template($assignment, 'walking sheet.txt', $sheet);
    }

    private function template(Assignment $assignment, string $name, string $text): void
    {
        $path = 'templates/'.Str::uuid()->toString();
        Storage::put($path, $text);
        $assignment->templates()->create(
            [
                'name' => $name, 'path' => $path, 'bytes' => strlen($text), 'sha256' => hash('sha256', $text),
                'text' => $text,
            ]
        );
    }

    /**
     * What students say of help they had.
     *
     * @return list<array{label: string, answer: string}>
     */
    private function declared(int $n): array
    {
        $tools = [
            'None.', 'The spelling check of my writing program.',
            'An AI chat, to find out what a “groat” was; the answer is in note 3, from a dictionary.',
            'A translation program for one letter in Danish.',
        ];
        $people = ['None.', 'A friend read it for commas.', 'The writing centre, on my plan.'];

        return Declaration::fromArray(self::DECLARED)->answers(
            ['own' => '1', 'tools' => $tools[$n % 4], 'people' => $people[$n % 3]]
        );
    }

    /**
     * What some are allowed, a draft, a text begun, a message: what stands between an open assignment and its due time.
     */
    private function arrangements(Assignment $next): void
    {
        $this->at(-1, 10, $this->coordinator);
        $member = fn (string $who): Membership => Membership::query()->where('user_id', $this->students[$who]->id)
            ->sole();
        $script = fn (string $who): Script => Script::query()->where('assignment_id', $next->id)
            ->where('student_id', $this->students[$who]->id)->with('assignment')->sole();
        app(ChangeAllowance::class)(
            $member('yusuf.alkhatib'), 3, 25, 'Learning support plan of September.', $this->coordinator,
        );
        app(ChangeAllowance::class)($member('zoe.ng'), 2, 0, 'Learning support plan of September.', $this->coordinator);
        app(ChangeExtension::class)(
            $script('priya.raghunathan'), $this->day(19, 12), 'A week at home after a death in the family.',
            $this->coordinator,
        );
        foreach (['dafydd.aprhys' => 'coal-and-blankets', 'mateus.araujo' => 'salt-year'] as $who => $essay) {
            $this->at(-1, 11, $this->students[$who]);
            $draft = app(CheckDraft::class)($next, $this->students[$who], [$this->file($essay, 'docx')]);
            app()->call([new ReadDraftJob($draft->id, $this->students[$who]->id), 'handle']);
            app(CompareDraft::class)($draft->refresh());
            $this->firstFeedback($draft->refresh(), $who === 'mateus.araujo');
        }
        $script('bo.li')->update(['template_taken_at' => $this->day(-1, 12)]);
        TypedText::query()->create(
            [
                'script_id' => $script('bo.li')->id, 'student_id' => $this->students['bo.li']->id,
                'text' => "The source, and where it is: the coal book of the ferry company, reader p. 14\nWho made it, when, for whom: the clerk, 1891, for the directors\n",
            ]
        );
        $this->at(-1, 13, $this->coordinator);
        app(WriteToStudents::class)(
            Cohort::of($next, ['show' => 'unopened']), 'The brief for {assignment}',
            "Dear {first name},\n\nthe brief is open and you have not looked at it yet. It asks for an account book, a list or a map, and those take time to find. Due: {due}.\n\n{link}",
            $this->coordinator,
        );
    }

    /** What the stand-in remarks on a draft; some say what they used of it. */
    private function firstFeedback(DraftCheck $draft, bool $share): void
    {
        config(['harbor.assistant.address' => config('harbor.assistant.address') ?: 'http://127.0.0.1/remarks']);
        app()->bind(Assistant::class, fn () => new class implements Assistant
        {
            public function remarksOn(string $text, string $brief, ?int $limit, array $criteria): Answer
            {
                return Answer::read([
                    'assistant' => 'Simulated writing assistant', 'simulated' => true,
                    'remarks' => array_map(
                        fn (Remark $one) => $one->toArray(), StandIn::of($text, $brief, $limit, $criteria),
                    ),
                    'cannot_see' => 'It counts words and places. It does not understand what you argue, cannot tell whether it is true, and has not read your sources.',
                ], $text, array_column($criteria, 'id'));
            }
        });
        $asked = app(AskAssistant::class)($draft);
        app(TakeRemarks::class)($asked);
        app(SayWhatWasUsed::class)($asked->refresh(), $share ? [0, 1] : [0], $share);
    }

    /** Open: students are writing. */
    private function open(RubricVersion $rubric): Assignment
    {
        $assignment = $this->assignment([
            'title' => 'Essay: After the water', 'rubric_version_id' => $rubric->id,
            'brief' => "A storm, a silted channel, a closed cannery: choose a loss that a coastal community suffered and argue who paid for it. 500 to 900 words.\n\nLet at least one of your sources be an account book, a list or a map, and read it as closely as you would a letter.",
            'due_at' => $this->day(12, 12), 'closes_at' => $this->day(15, 12),
            'promised_on' => $this->day(33)->toDateString(), 'declaration' => self::DECLARED,
            'screening' => Screening::fromArray(['web' => true, 'students' => true]), 'first_feedback' => 2,
            'late_rule' => [
                'take' => 'points', 'amount' => '5', 'per' => 'day', 'grace_minutes' => 10, 'floor' => '40',
                'cut_off' => 5, 'weekends' => false, 'closures' => false,
            ],
        ], -3);
        $this->template(
            $assignment, 'source sheet.txt',
            "The source, and where it is:\nWho made it, when, for whom:\nWhat it counts or draws:\nWhat it leaves out:\n",
        );
        foreach (array_values($this->students) as $n => $student) {
            if ($n % 3 !== 1) {
                Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)
                    ->update(['brief_opened_at' => $this->day(-2, 10 + $n % 9)]);
            }
        }

        return $assignment;
    }

    /** A reflection without a hand-in, at the end of a week. */
    private function sheet(): void
    {
        $sheets = require database_path('demo/sheets.php');
        $this->at(-1, 20, $this->coordinator, 30);
        $sheet = app(SaveSheet::class)(
            $this->module, null, $sheets['title'],
            SheetSettings::fromArray(['prompts' => $sheets['prompts'], 'words' => 12, 'team_reads' => true]),
            $this->day(3, 18), $this->coordinator,
        );
        app(OpenSheet::class)($sheet, $this->coordinator);
        foreach ($sheets['answers'] as $who => $texts) {
            $this->at(-1, 21, $this->students[$who], 4 * array_search($who, array_keys($sheets['answers']), true));
            app(WriteSheet::class)($sheet, $texts, $this->students[$who]);
        }
    }

    /** Three who are early. */
    private function early(Assignment $assignment): void
    {
        $this->at(-1, 16, $this->students['hana.kovarova']);
        // Her name stands in the file's properties and on its first page.
        $this->handIn(
            $assignment, $this->students['hana.kovarova'], [$this->file('after-the-cannery', 'docx', 'Hana Kovářová')],
            $this->declared(2),
        );
        $this->at(-1, 17, $this->students['olafur.brandsson']);
        $this->handIn(
            $assignment, $this->students['olafur.brandsson'], [$this->file('silting-up', 'odt')], $this->declared(0),
        );
        foreach (['olafur.brandsson' => 'chart', 'ximena.ortuzar' => 'strike-fund'] as $who => $essay) {
            $this->at(-1, 20, $this->students[$who]);
            $this->handIn(
                $assignment, $this->students[$who], [$this->file($essay, 'odt')], $this->declared(strlen($who)),
            );
        }
        $this->screen($assignment);
    }

    /**
     * @param  array<string, mixed>  $fields
     */
    private function assignment(array $fields, int $openedOn): Assignment
    {
        $this->at($openedOn, as: $this->coordinator);
        $assignment = app(SaveAssignment::class)($this->module, null, [
            'bands' => config('harbor.bands.classes'), ...$fields,
        ], null);
        app(OpenAssignment::class)($assignment);

        return $assignment->refresh();
    }

    /** Essays written under supervision, which the writing of later ones is compared with. */
    private function trusted(): WritingBaseline
    {
        $this->at(-47, as: $this->coordinator);
        $baseline = app(MakeBaseline::class)(
            $this->module, 'Supervised writing, 2024 and 2025', 'English', $this->coordinator,
        );
        foreach (array_chunk(glob(database_path('demo/baseline/*.md')) ?: [], 10) as $year => $paths) {
            app(AddFilesToBaseline::class)(
                $baseline,
                array_map(fn (string $path) => new UploadedFile($path, basename($path), null, null, true), $paths),
                'Supervised writing, October '.(2024 + $year), $this->coordinator,
            );
        }
        app(WorkOutBaseline::class)($baseline->refresh());

        return $baseline;
    }

    /** Texts of earlier years, as a coordinator adds them. */
    private function archive(): void
    {
        $this->at(-48, as: $this->coordinator);
        foreach (
            ['2024' => 'Essay: Trades of the shore', '2023' => 'Essay: Lights, bells and tides'] as $year => $title
        ) {
            $files = array_map(
                fn (string $path) => new UploadedFile($path, basename($path), null, null, true),
                glob(database_path("demo/archive/{$year}-*.md")) ?: [],
            );
            app(AddToArchive::class)($this->module, $files, $title, $year.'/'.((int) $year - 1999), $this->coordinator);
        }
    }

    /** What people made of what screening showed: something left out, something written in the record. */
    private function judged(Assignment $essay): void
    {
        $script = fn (string $who): Script => Script::query()->where('assignment_id', $essay->id)
            ->where('student_id', $this->students[$who]->id)->with('currentHandin.report')->sole();
        $this->at(-4, 19, $this->coordinator);
        app(RecordConversation::class)(
            $script('bo.li'), ConversationFinding::Talk,
            'Nearly the whole text also stands in another hand-in, with single words changed. I do not know who wrote it first. I will see both, one after the other, and ask each to take me through the second section and its sources.',
            1, true, $this->coordinator,
        );
        $this->at(-4, 20, $this->coordinator);
        $weir = $script('mateus.araujo');
        app(RecordConversation::class)(
            $script('sven.akerlund'), ConversationFinding::Talk,
            'Hardly a sentence in it could not stand in another essay, and it uses none of what the two documents say against each other. That is a matter for the mark. How the text came about I do not know: many write like this when they are unsure of the subject. I will ask for notes and an earlier version.',
            null, false, $this->coordinator, ['writing'],
            "What did you read first, and what did you write down from it?\nWhich of the two documents changed your mind about something?\nWhat help did you have, from people or tools, and with what?",
        );
        app(RecordConversation::class)(
            $weir, ConversationFinding::Attributed,
            'Long quotations from the reader, all marked and all with their document number. They are left out of the figure; nothing else is shared.',
            null, false, $this->coordinator,
        );
    }

    /**
     * Hands in, and reads it at once, as the worker would.
     *
     * @param  UploadedFile|string|list<UploadedFile|string>  $work
     * @param  list<array{label: string, answer: string}>|null  $declared
     */
    private function handIn(
        Assignment $assignment, User $student, UploadedFile|string|array $work, ?array $declared = null,
    ): Handin {
        $handin = app(TakeHandIn::class)($assignment, $student, $work, $declared);
        app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));

        return $handin->refresh();
    }

    private function screen(Assignment $assignment): void
    {
        $handins = Handin::query()
            ->whereIn('id', $assignment->scripts()->whereNotNull('current_handin_id')->pluck('current_handin_id'))
            ->get();
        foreach ($handins as $handin) {
            app(CompareHandin::class)($handin);
            app(PrepareForMarkers::class)($handin);
        }
        if ($assignment->screening->web) {
            foreach ($handins as $handin) {
                app(SearchWeb::class)($handin->report()->sole());
            }
        }
    }

    /**
     * @param  list<User>  $tutors
     * @param  array<string, string>  $shares  by mail address; 1 where none is given
     */
    private function shareOut(Assignment $assignment, array $tutors, int $seed, int $day, array $shares = []): void
    {
        $this->at($day, as: $this->coordinator);
        $plan = app(WorkOutPlan::class)(
            $assignment,
            array_map(
                fn (User $tutor) => [
                    'marker' => $tutor->public_id, 'share' => $shares[$tutor->email] ?? '1', 'sections' => null,
                ],
                $tutors,
            ),
            $seed, false, false, $this->coordinator,
        );
        app(ApplyPlan::class)($plan, $this->coordinator);
    }

    /**
     * @return Collection<int, Mark>
     */
    private function marks(Assignment $assignment): Collection
    {
        return Mark::query()->with(['marker', 'script'])->whereIn('script_id', $assignment->scripts()->pluck('id'))
            ->where('counts', true)->get()
            ->sortBy(fn (Mark $mark) => [$mark->seat->value, $mark->script->student_id])->values();
    }

    /**
     * @param  float  $quality  0 to 1: where on the rails the pins go
     */
    private function mark(
        Mark $mark, float $quality, int $day, int $hour, bool $finish = true, bool $comments = true,
    ): void {
        $this->at($day, $hour, $mark->marker);
        $says = require database_path('demo/comments.php');
        $criteria = array_values(
            array_filter(
                $mark->rubricVersion->toCore()->criteria,
                fn (Criterion $criterion) => $criterion instanceof LevelCriterion,
            )
        );
        foreach ($finish ? $criteria : array_slice($criteria, 0, 2) as $n => $criterion) {
            $stops = RailStop::of($criterion);
            $wanted = ($quality + [0.05, -0.04, 0.06, 0.0, -0.08][$n % 5]) * (float) (string) $criterion->max();
            usort(
                $stops,
                fn (RailStop $a, RailStop $b) => abs(
                    (float) (string) $a->points - $wanted
                ) <=> abs((float) (string) $b->points - $wanted),
            );
            $bank = $says[$criterion->title()] ?? [];
            $level = (int) max(0, min(2, floor(($quality - 0.4) / 0.15)));
            $comments = $bank[$level] ?? [];
            $choice = RailStop::mark($criterion, $stops[0]->key);
            app(SaveChoice::class)(
                $mark, $criterion->id(),
                $comments === []
                    || ($n + $mark->script->student_id + ($mark->seat->value === 'first' ? 0 : 1)) % 3 === 2
                    ? $choice
                    : $choice->withComment(
                        $comments[
                            (
                                $mark->script->student_id + $mark->marker_id + ($mark->seat->value === 'first' ? 0 : 1)
                            ) % count($comments)
                        ]
                    ),
            );
        }
        if ($comments) {
            $this->comment($mark, $quality);
        }
        Mark::query()->whereKey($mark->id)
            ->update(
                ['seconds' => ($finish ? 540 : 130) + 97 * $mark->script->student_id % 900, 'touched_at' => now()]
            );
        if ($finish) {
            $general = $says['general'][(int) max(0, min(2, floor(($quality - 0.4) / 0.15)))];
            app(ChangeMark::class)(
                $mark,
                fn (Mark $stored) => $stored->general_comment = $general[
                    ($mark->script->student_id + $mark->marker_id) % count($general)
                ],
            );
            app(FinishMark::class)($mark);
            // What the student is to read first.
            $mark->comments()->where('body', '<>', '')->orderBy('id')->limit(2)->update(['starred' => true]);
        }
    }

    /** Comments on sentences of the text, mostly from the bank. */
    private function comment(Mark $mark, float $quality): void
    {
        $bank = BankComment::query()->orderBy('id')->get();
        $criteria = collect($mark->rubricVersion->toCore()->criteria)->mapWithKeys(
            fn (Criterion $criterion) => [$criterion->title() => $criterion->id()]
        );
        $text = ScriptText::of($mark->handin);
        preg_match_all('/[^.!?\n]{40,}[.!?]/u', $text, $sentences);
        $id = $mark->script->student_id * 7 + ($mark->seat->value === 'first' ? 0 : 3);
        $changes = [];
        for ($n = 0; $n < min(3 + $id % 3, count($sentences[0])); $n++) {
            $exact = trim($sentences[0][(int) ($n * count($sentences[0]) / 5)]);
            $start = mb_strpos($text, $exact);
            $entry = $bank->where(
                'kind',
                $quality > 0.6 && $n % 2 === 0
                    ? CommentKind::Praise
                    : ($n % 3 === 1 ? CommentKind::Question : CommentKind::Fix),
            )->values();
            $entry = $entry[($id + $n) % count($entry)];
            $changes[] = ['key' => 'note:'.Str::uuid()->toString(), 'was' => null, 'now' => [
                'body' => $entry->text, 'kind' => $entry->kind->value,
                'criterion' => $criteria[$entry->criterion] ?? null,
                'bank' => $entry->public_id,
                'anchor' => ['exact' => $exact, 'start' => $start, 'end' => $start + mb_strlen($exact)],
            ]];
        }
        app(SyncDesk::class)($mark, $changes);
    }

    /** Before the real marking all four mark the same two scripts, and write down what they agree. */
    private function together(Assignment $assignment): void
    {
        $this->at(-6, 10, $this->coordinator);
        $codes = $assignment->scripts()->whereNotNull('current_handin_id')->orderBy('student_id')->limit(2)
            ->pluck('code')->all();
        app(PickTogether::class)($assignment, $codes, new Collection($this->tutors), $this->coordinator);
        foreach (
            Mark::query()->where('seat', Seat::Together)->with(['script', 'marker', 'rubricVersion', 'handin'])
                ->orderBy('id')->get() as $n => $mark
        ) {
            $this->mark(
                $mark, self::quality($mark) + [0.06, -0.04, 0.05, -0.05][$n % 4], -6, 11 + intdiv($n, 2), true, false,
            );
        }
        $this->at(-6, 16, $this->coordinator);
        $criteria = $assignment->rubricVersion?->toCore()->criteria ?? [];
        $notes = [
            "Good needs a claim that someone could deny. A well-told story with a claim only in its last line stays at Fair.\nAn objection that is named and not answered does not lift it.",
            'Two documents named are Fair; two documents set against each other are Good. Long quotations count for neither.',
        ];
        app(SaveLevelNotes::class)(
            $assignment, array_combine([$criteria[0]->id(), $criteria[1]->id()], $notes), [], $this->coordinator,
        );
    }

    private function bank(): void
    {
        $this->at(-49, as: $this->coordinator);
        $set = app(MakeBankSet::class)($this->module, 'Essays on the coast', $this->coordinator);
        app(AddToBankSet::class)(
            $set,
            array_map(
                fn (array $one) => ['label' => $one[0], 'text' => $one[1], 'kind' => $one[2], 'criterion' => $one[3]],
                require database_path('demo/bank.php'),
            ),
            $this->coordinator,
        );
        app(RecordConflict::class)(
            $this->module, $this->tutors[3], $this->students['zoe.ng'], 'Neighbours; she has read drafts of hers.',
            $this->coordinator,
        );
    }

    private function proposeOne(Assignment $assignment): void
    {
        $script = Script::query()->where('assignment_id', $assignment->id)->with('marks.marker', 'marks.rubricVersion')
            ->orderBy('student_id')->get()
            ->first(fn (Script $script) => $script->standing === Standing::ToSettle);
        $mark = $script?->marks->first();
        if ($script !== null && $mark !== null) {
            $this->at(-1, 14, $mark->marker);
            $mean = (string) (
                round(array_sum($script->marks->map(fn (Mark $each) => (float) $each->total)->all()) / 2)
            );
            app(ProposeMark::class)(
                $script, $mark->marker, MarkOffer::total(
                    $mean, Feedback::usual(),
                    'We read the argument differently. Having gone back to the middle section I would move some way towards you, and I think that you could meet me here.',
                ),
            );
        }
    }

    /** Results are to go out in the afternoon they are promised for, whatever is ready then. */
    private function plannedRelease(Assignment $assignment): void
    {
        $this->at(-1, 14, $this->coordinator, 30);
        app(SetRelease::class)(
            $assignment, new ReleasePlan(Scope::all(), $this->day(8, 16), true), $this->coordinator,
        );
    }

    private function file(string $essay, string $format, string $author = '', string $white = ''): UploadedFile
    {
        $source = database_path("demo/essays/{$essay}.md");
        $ready = database_path("demo/essays/{$essay}.{$format}");
        if (is_file($ready)) {
            return new UploadedFile($ready, "{$essay}.{$format}", null, null, true);
        }
        $made = sys_get_temp_dir().'/essay'.Str::random(12).'.'.$format;
        register_shutdown_function(fn () => is_file($made) && unlink($made)); // the files are read when all is seeded
        if ($format === 'pdf') {
            $html = (new Process(['pandoc', '--to=html', $source]))->mustRun()->getOutput();
            file_put_contents(
                $made,
                app(Pdf::class)->ofHtml(
                    '<html><head><meta charset="utf-8"><style>body { font: 11pt/1.35 "DejaVu Sans"; margin: 12mm 16mm } h1, p { margin: 0 0 26pt }</style></head><body>'
                        .$html.'</body></html>'
                ),
            );

            return new UploadedFile($made, "{$essay}.pdf", null, null, true);
        }
        (
            new Process(
                [
                    'pandoc', '--standalone', '--metadata=title: ',
                    ...($author === '' ? [] : ["--metadata=author:{$author}"]), '-o', $made, $source,
                ]
            )
        )->mustRun();
        $white === '' || $this->whiteLine($made, $white);

        return new UploadedFile($made, "{$essay}.{$format}", null, null, true);
    }

    /** Puts a paragraph in white letters at the end of a .docx. */
    private function whiteLine(string $path, string $words): void
    {
        $zip = new ZipArchive;
        $zip->open($path);
        $xml = (string) $zip->getFromName('word/document.xml');
        $zip->addFromString(
            'word/document.xml',
            (string) preg_replace(
                '~(<w:sectPr\b|</w:body>)~',
                '<w:p><w:r><w:rPr><w:color w:val="FFFFFF"/></w:rPr><w:t>'.htmlspecialchars($words, ENT_XML1)
                    .'</w:t></w:r></w:p>$1',
                $xml, 1,
            ),
        );
        $zip->close();
    }

    private function day(int $days, int $hour = 9): Carbon
    {
        return $this->today->copy()->setTimezone('Europe/London')->addDays($days)->setTime($hour, 0)->utc();
    }

    private function at(int $days, int $hour = 9, ?User $as = null, int $minutes = 0): void
    {
        Carbon::setTestNow($this->day($days, $hour)->addMinutes($minutes));
        if ($as !== null) {
            Auth::setUser($as);
        }
    }
}
