<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Discuss\FlagPost;
use App\Actions\Discuss\SaveTopic;
use App\Actions\Discuss\WritePost;
use App\Actions\Observe\DrawSlots;
use App\Actions\Observe\PublishSlots;
use App\Actions\Observe\SaveGround;
use App\Actions\Peers\PlanReviews;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Documents\PackDocument;
use App\Enums\KeepingState;
use App\Enums\PackReader;
use App\Enums\PackState;
use App\Enums\Role;
use App\Enums\WorkForm;
use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\BoardSheet;
use App\Models\Conflict;
use App\Models\Contribution;
use App\Models\ConversationEntry;
use App\Models\Correction;
use App\Models\DraftCheck;
use App\Models\FirstFeedback;
use App\Models\GradeScale;
use App\Models\IndividualCase;
use App\Models\KeepingDecision;
use App\Models\MarkAttachment;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Notice;
use App\Models\ObservationFile;
use App\Models\OverlapChoice;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\PeerReview;
use App\Models\PostFlag;
use App\Models\ReflectionSheet;
use App\Models\Release;
use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\Result;
use App\Models\Review;
use App\Models\RosterImport;
use App\Models\Round;
use App\Models\SamplePack;
use App\Models\Script;
use App\Models\Slot;
use App\Models\SlotSwap;
use App\Models\TrialScript;
use App\Models\Upload;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Models\WritingText;
use App\Release\BoardSheet as Sheet;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use YoungHarbor\Core\Discussion\Settings as Discussion;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Peers\ContributionSettings;
use YoungHarbor\Core\Peers\RoundSettings;
use YoungHarbor\Core\Release\SheetSettings;
use YoungHarbor\Core\Rubric\CriterionMarks;

/**
 * An address of every route, with something of the module behind it.
 */
trait Addresses
{
    protected function import(): RosterImport
    {
        Storage::put('rosters/none', "Name,Mail\n");

        return RosterImport::query()->firstOrCreate(
            ['module_id' => $this->module->id],
            [
                'made_by' => $this->coordinator->id, 'file_name' => 'a.csv', 'path' => 'rosters/none',
                'kind' => 'table', 'choices' => [],
            ],
        );
    }

    /** A pack that is with the module's examiner, if it has one. */
    protected function pack(Assignment $assignment): SamplePack
    {
        $pack = SamplePack::query()->firstOrCreate(['assignment_id' => $assignment->id], [
            'reader' => PackReader::Examiner, 'state' => PackState::Sent, 'sent_at' => now(),
            'reader_id' => $this->module->members()->where('role', Role::Examiner)->value('user_id')
                ?? $this->coordinator->id,
            'made_by' => $this->coordinator->id,
            'document' => app(PackDocument::class)->assignment($assignment),
        ]);
        $script = $this->script($assignment)->load(['marks.rubricVersion', 'marks.handin.files', 'settlement']);
        $document = app(PackDocument::class)->script($script, PackDocument::letters($script->marks));
        $pack->scripts()->firstOrCreate(['script_id' => $script->id], [
            'reasons' => ['drawn'], 'document' => $document, 'sha256' => PackDocument::sha256($document),
        ]);

        return $pack;
    }

    /**
     * A round that is over, in which the first student reviewed the second's work and was reviewed by the third.
     *
     * @return array{round: string, peer: string, trial: string, work: string}
     */
    protected function round(Assignment $assignment): array
    {
        $round = Round::query()->firstOrCreate(['assignment_id' => $assignment->id], [
            'number' => 1, 'title' => 'Peer review', 'seed' => 1, 'settings' => RoundSettings::fromArray(['each' => 1]),
            'begins_at' => now()->subDays(3), 'due_at' => now()->subDay(), 'opened_at' => now()->subDays(4),
            'made_by' => $this->coordinator->id,
        ]);
        $round->given_at === null && app(PlanReviews::class)($round, null);
        $round->members()->update(['let_in_at' => now()]);
        $own = PeerReview::query()->where('round_id', $round->id)->whereHas(
            'member', fn ($member) => $member->where('user_id', $this->students[0]->id),
        )->with('work')->firstOrFail();

        return [
            'round' => $round->public_id, 'peer' => $own->public_id, 'work' => $own->work->code,
            'trial' => TrialScript::query()->firstOrCreate(['round_id' => $round->id], [
                'position' => 1, 'title' => 'Try', 'text' => 'x', 'rubric_version_id' => $assignment->rubric_version_id,
                'choices' => CriterionMarks::usual(), 'total' => '50', 'made_by' => $this->coordinator->id,
            ])->public_id,
        ];
    }

    /**
     * A discussion in which the first student wrote, with a picture, and the second pointed that out.
     *
     * @return array{talk: string, topic: string, post: string, file: string, flag: string}
     */
    protected function talk(): array
    {
        $talk = Assignment::query()->where('module_id', $this->module->id)->where('form', WorkForm::Discussion)->first();
        if ($talk === null) {
            $talk = app(SaveAssignment::class)($this->module, null, $this->assignmentFields([
                'form' => WorkForm::Discussion, 'discussion' => Discussion::fromArray(['goes_on' => true]),
            ]), null);
            $topic = app(SaveTopic::class)($talk, null, 'Dues', 'Who should pay?', null);
            app(OpenAssignment::class)($talk);
            $post = app(WritePost::class)($topic->fresh(['assignment']), $this->students[0], 'The ships should pay.');
            $post->files()->create([
                'position' => 1, 'kind' => 'picture', 'name' => 'a.png', 'description' => 'x', 'path' => 'posts/none',
                'mime' => 'image/png', 'bytes' => 1, 'sha256' => str_repeat('0', 64),
            ]);
            app(FlagPost::class)($post, $this->students[1], 'Please look.');
        }
        Storage::put('posts/none', 'x');
        $topic = $talk->topics()->firstOrFail();
        $post = $topic->posts()->firstOrFail();
        $post->update(['hidden_at' => null, 'hidden_by' => null, 'hidden_reason' => null, 'taken_back_at' => null]);

        return [
            'talk' => $talk->public_id, 'topic' => $topic->public_id, 'post' => $post->public_id,
            'file' => $post->files()->firstOrFail()->public_id,
            'flag' => PostFlag::query()->where('post_id', $post->id)->firstOrFail()->public_id,
        ];
    }

    /**
     * Something observed: the first student's slot, observed by a tutor, who kept a file; the second asks to swap.
     *
     * @return array{observed: string, ground: string, slot: string, swap: string, seen: string, observing: string}
     */
    protected function observed(User $tutor): array
    {
        $observed = Assignment::query()->where('module_id', $this->module->id)->where('form', WorkForm::Observed)->first();
        if ($observed === null) {
            $observed = app(SaveAssignment::class)($this->module, null, $this->assignmentFields([
                'form' => WorkForm::Observed, 'scheme' => $this->oneMark(), 'due_at' => now()->addDays(9), 'closes_at' => null,
            ]), null);
            app(OpenAssignment::class)($observed);
            app(SaveGround::class)(
                $observed, 'Hall', now()->addDays(2), now()->addDays(2)->addHours(8), [$tutor->id],
            );
            $other = collect($this->tutors)->firstOrFail(fn (User $one) => $one->id !== $tutor->id);
            // The second student may be kept from that tutor elsewhere, and has the other then.
            app(SaveGround::class)(
                $observed, 'Tower', now()->addDays(2), now()->addDays(2)->addHours(8), [$other->id],
            );
            app(DrawSlots::class)($observed, $this->coordinator);
            app(PublishSlots::class)($observed, $this->coordinator);
        }
        $slot = Slot::query()->where('script_id', $this->script($observed)->id)->sole();
        $other = Slot::query()->where('script_id', $this->script($observed, 1)->id)->sole();
        $mark = $this->markOf($this->script($observed), Seat::First);
        Storage::put('observed/none', 'x');
        $file = ObservationFile::query()->firstOrCreate(['mark_id' => $mark->id], [
            'public_id' => Str::uuid()->toString(), 'kind' => 'photo', 'name' => 'a.png', 'path' => 'observed/none', 'mime' => 'image/png',
            'bytes' => 1, 'sha256' => str_repeat('0', 64), 'created_at' => now(),
        ]);
        SlotSwap::query()->where('slot_id', $other->id)->delete();

        return [
            'observed' => $observed->public_id, 'ground' => $observed->grounds()->firstOrFail()->public_id, 'slot' => $slot->public_id,
            'swap' => SlotSwap::query()->create(
                ['slot_id' => $other->id, 'other_id' => $slot->id, 'asked_by' => $this->students[1]->id],
            )->public_id,
            'seen' => $file->public_id, 'observing' => $mark->public_id,
        ];
    }

    protected function thread(Script $script): ReplyThread
    {
        $thread = ReplyThread::query()->firstOrCreate(['script_id' => $script->id, 'about' => 'whole']);
        Reply::query()->firstOrCreate(['reply_thread_id' => $thread->id], [
            'author_id' => $script->student_id, 'from_student' => true, 'body' => 'Thank you.',
        ]);

        return $thread;
    }

    protected function review(Script $script): Review
    {
        $result = Result::query()->where('script_id', $script->id)->whereNull('replaced_at')->sole();

        return Review::query()->firstOrCreate(['result_id' => $result->id], [
            'script_id' => $script->id, 'ground' => 'other', 'text' => 'x', 'state' => 'received',
            'answer_by' => now()->addDays(3),
        ]);
    }

    protected function address(Route $route, Assignment $assignment): string
    {
        $script = $this->script($assignment);
        $template = $assignment->templates()->firstOrCreate(
            ['name' => 'cover.docx'],
            ['path' => 'templates/none', 'bytes' => 1, 'sha256' => str_repeat('0', 64), 'text' => ''],
        );
        Storage::put('templates/none', '');
        $scale = GradeScale::query()->firstOrCreate(
            ['module_id' => $this->module->id, 'name' => 'Own'],
            ['document' => config('harbor.bands.pass'), 'saved_by' => $this->coordinator->id],
        );
        $report = OverlapReport::query()->firstOrCreate(['handin_id' => $script->current_handin_id]);
        $baseline = WritingBaseline::query()->firstOrCreate(
            ['module_id' => $this->module->id, 'name' => 'Trusted'],
            ['language' => 'English', 'worked_out_version' => 1],
        );
        $entry = ['script_id' => $script->id, 'student_sees' => true];
        ConversationEntry::query()->firstOrCreate(
            $entry,
            [
                'handin_id' => $script->current_handin_id, 'found' => 'note', 'why' => 'x', 'seen' => [],
                'written_by' => $this->coordinator->id,
            ],
        );
        Storage::put('attachments/none', 'x');
        $set = BankSet::query()->firstOrCreate(
            ['module_id' => $this->module->id, 'title' => 'Set'], ['owner_id' => $this->coordinator->id],
        );
        $values = [
            'number' => '1', 'kind' => 'docx', 'set' => $set->public_id,
            'comment' => BankComment::query()
                ->firstOrCreate(
                    ['bank_set_id' => $set->id], ['label' => 'x', 'text' => 'x', 'saved_by' => $this->coordinator->id],
                )
                ->public_id,
            'attachment' => MarkAttachment::query()
                ->firstOrCreate(
                    ['mark_id' => $this->markOf($script, Seat::First)->id, 'kind' => 'file'],
                    [
                        'path' => 'attachments/none', 'mime' => 'text/plain', 'bytes' => 1, 'written' => '',
                        'name' => 'x.txt',
                    ],
                )
                ->public_id,
            'plan' => AllocationPlan::query()
                ->firstOrCreate(
                    ['assignment_id' => $assignment->id],
                    [
                        'seed' => 1, 'settings' => ['markers' => [], 'keep_groups' => false, 'even_out' => false],
                        'entries' => [], 'unplaced' => [], 'notes' => [], 'made_by' => $this->coordinator->id,
                    ],
                )
                ->public_id,
            'conflict' => Conflict::query()
                ->firstOrCreate(
                    [
                        'module_id' => $this->module->id, 'marker_id' => $this->tutors[0]->id,
                        'student_id' => $this->students[1]->id,
                    ],
                    ['reason' => 'x', 'made_by' => $this->coordinator->id],
                )
                ->public_id,
            'baseline' => $baseline->public_id,
            'text' => WritingText::query()
                ->firstOrCreate(
                    ['writing_baseline_id' => $baseline->id],
                    [
                        'title' => 'x', 'text' => 'x', 'sha256' => str_repeat('0', 64), 'words' => 1,
                        'added_version' => 1, 'added_by' => $this->coordinator->id,
                    ],
                )
                ->public_id,
            'choice' => OverlapChoice::query()
                ->firstOrCreate(
                    ['overlap_report_id' => $report->id, 'what' => 'short'],
                    ['from_word' => 9, 'reason' => 'x', 'made_by' => $this->coordinator->id],
                )
                ->public_id,
            'source' => OverlapSource::query()
                ->firstOrCreate(
                    ['kind' => 'archive', 'module_id' => $this->module->id],
                    ['shelf' => 0, 'words' => 0, 'numbers' => '', 'text' => ''],
                )
                ->public_id,
            'module' => $this->module->public_id, 'assignment' => $assignment->public_id,
            'rubric' => $assignment->rubricVersion?->rubric->public_id,
            'handin' => $script->currentHandin?->public_id, 'script' => $script->public_id,
            'mark' => $this->markOf($script, Seat::First)->public_id,
            'draft' => DraftCheck::query()
                ->firstOrCreate(
                    ['script_id' => $script->id, 'student_id' => $script->student_id],
                    ['words' => 1, 'text' => 'Words.', 'notes' => []],
                )
                ->public_id,
            'template' => $template->public_id, 'scale' => $scale->public_id,
            'user' => User::factory()->create()->public_id,
            'member' => Membership::query()->where('user_id', $script->student_id)->sole()->public_id,
            'import' => $this->import()->public_id,
            'upload' => Upload::query()
                ->firstOrCreate(
                    ['assignment_id' => $assignment->id, 'student_id' => $script->student_id],
                    ['name' => 'a.txt', 'bytes' => 9, 'sha256' => str_repeat('0', 64)],
                )
                ->public_id,
            'decision' => KeepingDecision::query()
                ->firstOrCreate(['assignment_id' => $assignment->id], [
                    'kind' => Kind::Texts, 'state' => KeepingState::Confirmed, 'goes_at' => now()->addDay(),
                    'decided_by' => $this->coordinator->id,
                ])
                ->public_id,
            'correction' => Correction::query()
                ->firstOrCreate(
                    ['assignment_id' => $assignment->id],
                    [
                        'kind' => 'constant', 'constant' => '2', 'working' => [], 'reason' => 'x',
                        'asked_by' => $this->coordinator->id,
                    ],
                )
                ->public_id,
            'criterion' => 'c1', 'form' => 'csv',
            'pack' => $this->pack($assignment)->public_id, 'code' => $script->code,
            'result' => Result::query()->where('script_id', $script->id)->whereNull('replaced_at')->sole()->public_id,
            'thread' => $this->thread($script)->public_id,
            'reply' => $this->thread($script)->replies()->firstOrFail()->public_id,
            'review' => $this->review($script)->public_id,
            'case' => IndividualCase::query()->firstOrCreate(['script_id' => $script->id], [
                'kind' => 'adjusted', 'marks' => '1', 'reason' => 'x', 'decided_by' => $this->coordinator->id,
            ])->public_id,
            'release' => Release::query()->where('assignment_id', $assignment->id)->firstOrFail()->public_id,
            'board' => BoardSheet::query()->firstOrCreate(['module_id' => $this->module->id], [
                'sheet' => app(Sheet::class)->of($this->module), 'digest' => str_repeat('0', 64),
                'results_confirmed' => 0, 'confirmed_by' => $this->coordinator->id,
            ])->public_id,
            'note' => MemberNote::query()->firstOrCreate(
                ['membership_id' => Membership::query()->where('user_id', $script->student_id)->sole()->id],
                ['body' => 'x', 'student_reads' => true, 'author_id' => $this->coordinator->id],
            )->public_id,
            ...$this->round($assignment),
            'feedback' => FirstFeedback::query()->firstOrCreate([
                'draft_check_id' => DraftCheck::query()->where('script_id', $script->id)->value('id')
                    ?? DraftCheck::query()->create([
                        'script_id' => $script->id, 'student_id' => $script->student_id, 'words' => 1, 'text' => 'Words.',
                        'notes' => [],
                    ])->id,
            ], [
                'script_id' => $script->id, 'student_id' => $script->student_id, 'state' => 'answered', 'remarks' => [],
                'cannot_see' => 'x',
            ])->public_id,
            'sheet' => ReflectionSheet::query()->firstOrCreate(['module_id' => $this->module->id], [
                'title' => 'A week', 'settings' => SheetSettings::usual(), 'due_at' => now()->addDay(), 'opened_at' => now(),
                'made_by' => $this->coordinator->id,
            ])->public_id,
            'contribution' => Contribution::query()->firstOrCreate(['assignment_id' => $assignment->id], [
                'settings' => ContributionSettings::usual(), 'due_at' => now()->addDay(), 'opened_at' => now(),
                'made_by' => $this->coordinator->id,
            ])->public_id,
            'notice' => Notice::query()->where('user_id', $script->student_id)->firstOrFail()->public_id,
            ...$talk = $this->talk(), ...$observed = $this->observed(
                $this->markOf($this->script($assignment), Seat::First)->marker,
            ),
        ];
        if (in_array($route->getName(), ['discussion.show', 'topics.store'], true)) {
            $values['assignment'] = $talk['talk'];
        }
        $name = (string) $route->getName();
        if (preg_match('/^(slots|grounds|swaps|observe|observation-files)\./', $name) === 1) {
            $values = ['assignment' => $observed['observed'], 'mark' => $observed['observing'], 'file' => $observed['seen']] + $values;
        }

        return '/'.ltrim(
            (string) preg_replace_callback(
                '/\{(\w+)\}/', fn (array $m) => (string) $values[$m[1]],
                (string) preg_replace('~/\{\w+\?\}~', '', $route->uri()),
            ),
            '/',
        );
    }
}
