<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Moderate\AskForThird;
use App\Actions\Moderate\MakePack;
use App\Actions\Moderate\SendPack;
use App\Actions\Release\AskForReview;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\SayInReply;
use App\Actions\Release\TreatReview;
use App\Enums\PackReader;
use App\Enums\ReviewGround;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Conflict;
use App\Models\Mark;
use App\Models\Result;
use App\Models\User;
use Illuminate\Support\Carbon;
use Tests\Crawl;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use YoungHarbor\Core\Marking\SampleRule;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Release\Settings;

/**
 * Before release nothing that a marker or the examiner is sent gives a student away: every page and file reached from
 * Today by links, forms and page scripts is searched, headers and all.
 */
final class AnonymityTest extends TestCase
{
    use Crawl;

    public function test_a_crawl_as_tutor_finds_no_name_number_or_mail_address_of_a_student(): void
    {
        $this->module(3, 4);
        $assignment = $this->assignment();
        foreach ($this->students as $n => $student) {
            $planted = [
                'creator' => $student->name, 'last modified by' => $student->name,
                'header' => "{$student->name}, {$student->number}", 'first line' => "By {$student->name}",
                'text' => $student->email, 'comment author' => $student->name,
            ];
            [$bytes, $kind] = match ($n) {
                0 => [
                    PlantedFiles::docx(
                        [...$planted, 'alt' => $student->name, 'footnote' => $student->name], [$this->prose(40, $n)],
                    ),
                    'docx',
                ],
                1 => [
                    PlantedFiles::pdf(
                        [
                            'author' => $student->name, 'first line' => (string) $student->number,
                            'xmp' => $student->name, 'text' => $student->email,
                        ]
                    ),
                    'pdf',
                ],
                2 => [PlantedFiles::odt([...$planted, 'alt' => $student->name], [$this->prose(40, $n)]), 'odt'],
                default => [
                    PlantedFiles::html(
                        ['meta' => $student->name, 'text' => $student->name, 'link' => "mailto:{$student->email}"]
                    ),
                    'html',
                ],
            };
            app(PrepareForMarkers::class)(
                app(TakeHandIn::class)($assignment, $student, [Files::upload($bytes, "{$student->name}.{$kind}")])
            );
        }
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $this->finishBoth($this->script($assignment, 0), 'l3', 'l3');
        $this->finish($this->markOf($this->script($assignment, 1), Seat::First), 'l3', 'l3');
        $this->finish($this->markOf($this->script($assignment, 1), Seat::Second), 'l1', 'l1');
        // A third marker who sees both marks, and packs with an examiner and a moderator.
        app(AskForThird::class)($this->script($assignment, 1), SecondView::Open, $this->coordinator);
        $examiner = $this->member(Role::Examiner);
        $moderator = collect($this->tutors)->firstOrFail(
            fn (User $tutor) => $this->script($assignment, 0)->marks->doesntContain('marker_id', $tutor->id),
        );
        foreach ([[PackReader::Examiner, $examiner], [PackReader::Moderator, $moderator]] as [$kind, $reader]) {
            app(SendPack::class)(app(MakePack::class)(
                $assignment, $kind, $reader, SampleRule::usual(), true, $this->coordinator,
            ), '', $this->coordinator);
        }
        $this->answered($assignment);
        // Each tutor is first marker of some and second marker of others.
        $downloads = $pages = 0;
        foreach ([...$this->tutors, $examiner] as $person) {
            $this->sent = [];
            $this->downloads = 0;
            $this->actingAs($person);
            $this->crawl(route('today', absolute: false));
            $marks = Mark::query()->where('marker_id', $person->id)->exists();
            $read['replies'] = ($read['replies'] ?? 0) + count(preg_grep('~/replies/[^/]+$~', array_keys($this->sent)) ?: []);
            $read['reviews'] = ($read['reviews'] ?? 0) + count(preg_grep('~/reviews/[^/]+$~', array_keys($this->sent)) ?: []);
            self::assertGreaterThan($marks ? 12 : 6, count($this->sent), 'the crawl got somewhere');
            $downloads += $this->downloads;
            $person->is($examiner) && self::assertCount(
                1, preg_grep('~/packs/[^/]+/pack[.]zip$~', array_keys($this->sent)) ?: [], 'the pack too',
            );
            $pages += count(preg_grep('~/pages/1\z~', array_keys($this->sent)) ?: []);
            foreach ($this->sent as $address => $text) {
                foreach ($this->students as $student) {
                    foreach (
                        [$student->name, (string) $student->number, $student->email, $student->public_id] as $sign
                    ) {
                        self::assertStringNotContainsStringIgnoringCase($sign, $text, $address);
                    }
                }
            }
        }
        self::assertGreaterThan(1, $read['replies'] ?? 0, 'replies were read');
        self::assertGreaterThan(0, $read['reviews'] ?? 0, 'and a review');
        self::assertGreaterThan(16, $downloads, 'files of every kind were taken');
        self::assertGreaterThan(1, $pages, 'and pages, by both who mark the PDF');
    }

    /** A result that is out, with a reply and a review that name their student in words and in a file's name. */
    private function answered(Assignment $assignment): void
    {
        $assignment->update(['release' => Settings::fromArray(['review_days' => 10])]);
        app(ReleaseResults::class)($assignment->refresh(), [$this->script($assignment)->code], $this->coordinator);
        $student = $this->students[0];
        $said = "Signed: {$student->name}, {$student->number}, {$student->email}. The toll was paid.";
        $file = Files::upload("A receipt. {$said}", "{$student->name}.txt");
        $result = Result::query()->sole();
        foreach (['whole', 'criterion:c1'] as $about) {
            app(SayInReply::class)($result->script, $about, $said, $file, $student);
        }
        $review = app(AskForReview::class)($result, ReviewGround::Overlooked, $said, $file, $student);
        foreach ($this->tutors as $tutor) {
            app(TreatReview::class)($review, $tutor, null);
        }
    }

    public function test_what_the_desk_sends_back_and_refusals_give_nobody_away_either(): void
    {
        $this->module();
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker);
        $answers = [
            $this->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'l1'], ['HX-Request' => 'true']),
            $this->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'nowhere'], ['HX-Request' => 'true']),
            $this->post(route('mark.done', $mark)),
            $this->get(route('receipts.file', $mark->handin)),
            $this->get(route('collect.index', $mark->script->assignment)),
            $this->get(route('grade-book.csv', $this->module)),
        ];
        foreach ($answers as $answer) {
            self::assertStringNotContainsStringIgnoringCase($this->students[0]->name, $this->whole($answer));
            self::assertStringNotContainsString($this->students[0]->email, $this->whole($answer));
        }
    }

    public function test_nothing_the_desk_asks_for_tells_who_was_late_or_allowed_more_time(): void
    {
        $this->module(2, 2);
        $assignment = $this->assignment(
            ['declaration' => [['id' => 'own', 'kind' => 'words', 'label' => 'Who helped', 'required' => true]]]
        );
        foreach ($this->students as $n => $student) {
            // The second comes in late.
            $n === 1 && Carbon::setTestNow(now()->addDay()->addHours(3));
            app(TakeHandIn::class)(
                $assignment, $student, "Essay {$n}. ".$this->prose(50, $n),
                [['label' => 'Who helped', 'answer' => "Signed: {$student->name}, {$student->email}"]],
            );
        }
        Carbon::setTestNow(now()->addDays(2));
        Conflict::factory()->create(
            [
                'module_id' => $this->module->id, 'marker_id' => $this->tutors[1]->id,
                'student_id' => $this->students[1]->id, 'reason' => 'Their landlord.',
                'made_by' => $this->coordinator->id,
            ]
        );
        $this->shareOut($assignment, [...$this->tutors, $this->coordinator]);
        $script = $this->script($assignment, 1);
        self::assertTrue($script->late);
        foreach ($script->marks as $mark) {
            $this->actingAs($mark->marker);
            $answers = [
                $this->get(route('mark.index', $assignment)), $this->get(route('mark.desk', $mark)),
                $this->getJson(route('mark.news', [$mark, 'version' => 0])), $this->getJson(route('mark.token', $mark)),
                $this->patchJson(
                    route('mark.sync', $mark),
                    [
                        'changes' => [
                            ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => 'l2']],
                            ['key' => 'nonsense', 'now' => 1],
                        ],
                    ],
                ),
                $this->get(route('mark.lately', [$mark, 'c1'])), $this->get(route('mark.rubric', $mark)),
                $this->get(route('mark.annotations', $mark)), $this->get(route('together.index', $assignment)),
                $this->get(route('bank.index')),
                $this->get(route('mark.desk', [$mark, 'attempt' => 1])),
                $this->get(route('mark.index', [$assignment, 'order' => 'code', 'show' => 'open'])),
            ];
            foreach ($answers as $answer) {
                $answer->assertOk();
                foreach (
                    [
                        $this->students[1]->name, $this->students[1]->email, (string) $this->students[1]->public_id,
                        'landlord', 'handed in late', 'extension',
                    ] as $sign
                ) {
                    // A coordinator who marks has the module's pages in the navigation, and no sign of whose script it
                    // is.
                    self::assertStringNotContainsStringIgnoringCase($sign, $this->whole($answer));
                }
            }
        }
    }

    public function test_nothing_beside_a_name_leads_the_coordinator_to_a_code(): void
    {
        $this->module(2, 3);
        $assignment = $this->assignment();
        foreach ([411, 523, 637] as $n => $words) {
            app(TakeHandIn::class)(
                $assignment, $this->students[$n], Files::upload($this->prose($words, $n), 'essay.md'),
            );
        }
        $this->actingAs($this->coordinator);
        foreach (
            [
                route('collect.index', $assignment), route('grade-book.show', $this->module),
                route('people.index', $this->module),
            ] as $page
        ) {
            $answer = $this->get($page)->assertOk()->assertSee($this->students[0]->name);
            foreach ($assignment->scripts as $script) {
                $answer->assertDontSee($script->code)->assertDontSee('.md');
                self::assertDoesNotMatchRegularExpression(
                    "/\\b{$script->currentHandin?->words}\\b/", strip_tags((string) $answer->getContent()),
                );
            }
        }
        foreach (['screen.index', 'share-out.index', 'moderate.index', 'release.index'] as $page) {
            $answer = $this->get(route($page, $assignment))->assertOk();
            foreach ($this->students as $student) {
                $answer->assertDontSee($student->name)->assertDontSee((string) $student->number);
            }
        }
    }

    public function test_the_logbook_gives_the_coordinator_no_way_from_a_student_to_a_code(): void
    {
        $this->module(2, 3);
        $assignment = $this->sharedOut($this->assignment());
        $page = (string) $this->actingAs($this->coordinator)->get(route('logbook', $this->module))->assertOk()
            ->getContent();
        preg_match_all('~<tr>.*?</tr>~s', $page, $rows);
        self::assertGreaterThan(5, count($rows[0]));
        foreach ($rows[0] as $row) {
            $names = array_filter(
                $this->students,
                fn (User $student) => str_contains(html_entity_decode($row, ENT_QUOTES), $student->name),
            );
            $codes = $assignment->scripts->filter(fn ($script) => str_contains($row, $script->code));
            self::assertTrue($names === [] || $codes->isEmpty());
        }
    }

    public function test_addresses_are_random_and_codes_are_not_worked_out_from_people(): void
    {
        $this->module();
        $assignment = $this->assignment();
        foreach ($assignment->scripts()->with('student')->get() as $script) {
            self::assertMatchesRegularExpression(
                '/\A[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}\z/', $script->public_id,
            );
            self::assertMatchesRegularExpression('/\A[A-Z]+-\d{3}\z/', $script->code);
        }
        // Random from the first digit on: neither the order nor the time of a row can be read from its address.
        $ids = array_map(fn (int $i): string => substr((new User)->newUniqueId(), 0, 6), range(1, 40));
        self::assertGreaterThan(35, count(array_unique($ids)));
    }
}
