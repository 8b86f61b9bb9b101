<?php

declare(strict_types=1);

namespace Tests\Feature\Moderate;

use App\Actions\Moderate\OpenSettled;
use App\Enums\CorrectionKind;
use App\Enums\CorrectionState;
use App\Enums\PackState;
use App\Enums\Role;
use App\Mail\PackSent;
use App\Models\Assignment;
use App\Models\Correction;
use App\Models\PackScript;
use App\Models\Result;
use App\Models\SamplePack;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use LogicException;
use Tests\TestCase;
use ZipArchive;

/**
 * A sample pack from its rule to a signature, and as a ZIP that is checked without the database.
 */
final class PackTest extends TestCase
{
    private User $examiner;

    private function agreed(array $fields = [], int $students = 6): Assignment
    {
        $this->module(3, $students);
        $this->examiner = $this->member(Role::Examiner);
        $assignment = $this->sharedOut($this->assignment($fields));
        foreach (array_keys($this->students) as $n) {
            $this->finishBoth($this->script($assignment, $n), ['l1', 'l2', 'l3'][$n % 3], ['l1', 'l2', 'l3'][$n % 3]);
        }

        return $assignment;
    }

    /**
     * @param  array<string, mixed>  $fields
     */
    private function made(Assignment $assignment, ?User $reader = null, array $fields = []): SamplePack
    {
        $reader ??= $this->examiner;
        $kind = $reader->is($this->examiner) ? 'examiner' : 'moderator';
        $this->actingAs($this->coordinator)->post(route('packs.store', $assignment), [
            'reader' => "{$kind}:{$reader->public_id}", 'share' => '0', 'least' => '1', 'fails' => '1', 'top' => '1',
            ...$fields,
        ])->assertSessionHasNoErrors();

        return SamplePack::query()->latest('id')->firstOrFail();
    }

    private function sent(Assignment $assignment): SamplePack
    {
        $pack = $this->made($assignment);
        $this->post(route('packs.send', $pack), ['letter' => 'Please look at the fails.'])->assertSessionHasNoErrors();

        return $pack->refresh();
    }

    public function test_a_pack_is_chosen_by_rule_changed_by_hand_and_frozen_when_sent(): void
    {
        Mail::fake();
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator)->get(route('packs.index', $assignment))->assertOk()
            ->assertSee('No sample pack yet')->assertSee($this->examiner->name.', external examiner');
        $pack = $this->made($assignment);
        self::assertSame(5, $pack->scripts()->count(), 'two fails, two at the top, one drawn');
        $this->actingAs($this->examiner)->get(route('packs.show', $pack))->assertForbidden();
        $left = Script::query()->where('assignment_id', $assignment->id)
            ->whereNotIn('id', $pack->scripts()->select('script_id'))->sole();
        $this->actingAs($this->coordinator)->put(route('packs.update', $pack), ['put' => strtolower($left->code)])
            ->assertSessionHasNoErrors();
        $this->put(route('packs.update', $pack), ['put' => 'TERN-000'])->assertSessionHasErrors('put');
        $out = $pack->scripts()->where('script_id', '<>', $left->id)->with('script')->firstOrFail()->script->code;
        $this->put(route('packs.update', $pack), ['out' => [$out]]);
        self::assertSame(5, $pack->scripts()->count());
        self::assertSame(['asked for'], $pack->scripts()->where('script_id', $left->id)->sole()->reasons);
        $this->post(route('packs.send', $pack), ['letter' => 'Please look at the fails.'])->assertSessionHasNoErrors();
        Mail::assertQueued(PackSent::class, fn (PackSent $mail) => $mail->hasTo($this->examiner->email)
            && str_contains(
                $mail->render(), 'A sample of 5 scripts',
            ) === false && str_contains($mail->render(), '5 scripts'));
        $this->put(route('packs.update', $pack), ['put' => $out])->assertSessionHasErrors('refused');
        $this->post(route('packs.send', $pack))->assertSessionHasErrors('refused');
        $one = $pack->scripts()->firstOrFail();
        $this->expectException(LogicException::class);
        $one->update(['document' => ['agreed' => '100']]);
    }

    public function test_what_changes_later_is_listed_and_the_pack_stays_as_it_was(): void
    {
        $assignment = $this->agreed();
        $pack = $this->sent($assignment);
        $one = $pack->scripts()->with('script')->get()->first(fn (PackScript $one) => $one->document['agreed'] === '0');
        app(OpenSettled::class)($one->script, $this->coordinator, 'We had the wrong page.');
        $this->actingAs($this->examiner)->get(route('packs.show', $pack))
            ->assertSee('Changed since it was sent.')->assertSee('agreed 0 then, nothing now');
        $this->get(route('packs.script', [$pack, $one->script->code]))->assertSee('agreed 0');
        $this->actingAs($this->coordinator)->post(route('moderate.decide', $one->script), [
            'mark' => '41', 'reason' => 'Read again: it passes.',
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->examiner)->get(route('packs.show', $pack))->assertSee('agreed 0 then, 41 now');
    }

    public function test_the_examiner_reads_notes_asks_and_signs_and_changes_nothing_else(): void
    {
        $assignment = $this->agreed();
        $pack = $this->sent($assignment);
        $code = $pack->scripts()->with('script')->firstOrFail()->script->code;
        $this->actingAs($this->examiner)->get(route('today'))->assertSee('A sample of 5 scripts to read and sign');
        $this->get(route('packs.show', $pack))->assertOk()->assertSee('Please look at the fails.')
            ->assertSee('How marks are spread')->assertSee('Begin to read');
        $this->get(route('packs.script', [$pack, $code]))->assertOk()->assertSee('Comment of the first marker.')
            ->assertSee('How')->assertDontSee('Propose');
        self::assertNotNull(
            $pack->scripts()->whereHas('script', fn ($script) => $script->where('code', $code))->sole()->read_at
        );
        $this->post(
            route('packs.say', $pack), ['script' => $code, 'body' => 'Generous on evidence.'],
        )->assertRedirect();
        $this->post(
            route('packs.say', $pack), ['asks_for' => 'larger-sample', 'body' => 'More near the pass line, please.'],
        );
        $sign = ['statement' => 'The marking is fair and well recorded.', 'sure' => '1'];
        $this->post(route('packs.sign', $pack), $sign)->assertSessionHasErrors(
            [
                'statement' => 'What you asked for has no answer yet, so it is not signed. The team sees your request on Today.',
            ],
        );
        $this->post(route('packs.answer', $pack), ['request' => 1, 'body' => 'Mine.'])->assertForbidden();
        $this->put(route('packs.update', $pack), ['put' => 'X'])->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('today'))
            ->assertSee('1 request of who is to sign waits for an answer');
        $this->get(route('packs.show', $pack))->assertSee('More near the pass line');
        $asked = $pack->notes()->where('kind', 'request')->sole();
        $this->post(route('packs.answer', $pack), ['request' => $asked->id, 'body' => 'Four more were drawn.'])
            ->assertSessionHas('said');
        $this->post(route('packs.sign', $pack), $sign)->assertForbidden();
        $this->actingAs($this->examiner)->post(route('packs.sign', $pack), ['sure' => ''] + $sign)
            ->assertSessionHasErrors('sure');
        $this->post(route('packs.sign', $pack), $sign)->assertSessionHas('said');
        self::assertSame([PackState::Signed, $sign['statement']], [$pack->refresh()->state, $pack->statement]);
        $this->post(route('packs.say', $pack), ['body' => 'One more thing.'])->assertSessionHasErrors('body');
        $this->post(route('packs.sign', $pack), $sign)->assertSessionHasErrors('refused');
        $this->get(route('today'))->assertDontSee('to read and sign');
    }

    public function test_results_wait_for_the_signatures_that_are_asked_for(): void
    {
        $settings = \YoungHarbor\Core\Release\Settings::fromArray(['signatures' => ['examiner']]);
        $assignment = $this->agreed(['release' => $settings]);
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee('1 signature is missing')->assertSee('the external examiner’s')
            ->assertSee('No result is ready');
        $this->post(route('release.store', $assignment), ['which' => 'all'])->assertSessionHasErrors('refused');
        self::assertSame(0, Result::query()->count());
        $pack = $this->sent($assignment);
        $this->actingAs($this->examiner)->post(route('packs.sign', $pack), [
            'statement' => 'The marking is fair and well recorded.', 'sure' => '1',
        ]);
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))->assertSee('6 results are ready');
        $this->post(
            route('release.store', $assignment), ['which' => 'all', 'expected' => '6'],
        )->assertSessionHasNoErrors();
        self::assertSame(6, Result::query()->count());
    }

    public function test_a_correction_approved_later_is_shown_to_who_signed_and_before_release(): void
    {
        $assignment = $this->agreed();
        $pack = $this->sent($assignment);
        $approve = fn (string $constant): Correction => Correction::query()->create([
            'assignment_id' => $assignment->id, 'kind' => CorrectionKind::Constant, 'constant' => $constant,
            'factor' => '1', 'working' => [], 'reason' => 'The paper was too long.', 'state' => CorrectionState::Approved,
            'asked_by' => $this->coordinator->id, 'decided_by' => $this->examiner->id, 'decided_at' => now(),
        ]);
        Carbon::setTestNow(now()->addHour());
        $correction = $approve('2');
        $this->actingAs($this->examiner)->get(route('packs.show', $pack))
            ->assertSee('All marks corrected, 2 added, approved')->assertSee('since this was sent');
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertDontSee('was approved after');
        Carbon::setTestNow(now()->addHour());
        $this->actingAs($this->examiner)->post(route('packs.sign', $pack), [
            'statement' => 'The marking is fair and well recorded.', 'sure' => '1',
        ])->assertSessionHas('said');
        Carbon::setTestNow(now()->addHour());
        $correction->update(['decided_at' => now()]);
        $this->get(route('packs.show', $pack))->assertSee('since this was signed');
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee('1 correction was approved after the external examiner signed');
    }

    public function test_a_moderator_of_the_team_signs_nothing_they_marked(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator)->put(route('packs.moderators', $assignment), [
            'moderators' => [$this->examiner->public_id],
        ])->assertSessionHasErrors('refused');
        $moderator = $this->tutors[0];
        $this->put(
            route('packs.moderators', $assignment), ['moderators' => [$moderator->public_id]],
        )->assertSessionHas('said');
        $pack = $this->made($assignment, $moderator, ['least' => '50']);
        foreach ($pack->scripts()->with('script.marks')->get() as $one) {
            self::assertFalse($one->script->marks->contains('marker_id', $moderator->id));
        }
        $own = Script::query()->whereHas('marks', fn ($mark) => $mark->where('marker_id', $moderator->id))
            ->firstOrFail();
        $this->put(route('packs.update', $pack), ['put' => $own->code])->assertSessionHasErrors('put');
        $this->post(route('packs.send', $pack))->assertSessionHasNoErrors();
        $this->actingAs($moderator)->get(route('packs.show', $pack))->assertOk();
        $this->actingAs($this->tutors[1])->get(route('packs.show', $pack))->assertForbidden();
        $this->post(route('packs.sign', $pack), ['statement' => 'Looks fine to me.', 'sure' => '1'])->assertForbidden();
    }

    public function test_it_holds_no_name_no_lateness_and_no_allowance(): void
    {
        $assignment = $this->agreed();
        $pack = $this->sent($assignment);
        $pages = [
            (string) $this->actingAs($this->examiner)->get(route('packs.show', $pack))->getContent(),
            ...$pack->scripts()->with('script')->get()->map(
                fn (PackScript $one) => (string) $this->get(
                    route('packs.script', [$pack, $one->script->code])
                )->getContent(),
            )->all(),
            json_encode([$pack->document, $pack->scripts()->get()->pluck('document')->all()], JSON_THROW_ON_ERROR),
        ];
        foreach ($pages as $page) {
            foreach ([...$this->students, ...$this->tutors] as $person) {
                self::assertStringNotContainsString($person->name, $page);
                self::assertStringNotContainsString($person->email, $page);
                self::assertStringNotContainsString($person->public_id, $page);
            }
            self::assertStringNotContainsString('"late', $page);
            self::assertStringNotContainsString('allowance":', $page);
        }
    }

    public function test_the_zip_is_checked_without_the_database_and_every_change_is_found(): void
    {
        $assignment = $this->agreed();
        $pack = $this->sent($assignment);
        $path = tempnam(sys_get_temp_dir(), 'pack');
        $answer = $this->actingAs($this->examiner)->get(route('packs.zip', $pack))->assertOk();
        file_put_contents($path, $answer->streamedContent());
        $zip = new ZipArchive;
        $zip->open($path);
        $names = array_map(fn (int $n) => (string) $zip->getNameIndex($n), range(0, $zip->numFiles - 1));
        self::assertContains('manifest.json', $names);
        self::assertCount(5, array_filter($names, fn (string $name) => str_starts_with($name, 'scripts/')));
        foreach ($names as $name) {
            foreach ([...$this->students, ...$this->tutors] as $person) {
                self::assertStringNotContainsString($person->name, (string) $zip->getFromName($name), $name);
            }
        }
        self::assertStringStartsWith('%PDF', (string) $zip->getFromName('pack.pdf'));
        $csv = (string) $zip->getFromName('marks.csv');
        self::assertStringContainsString('first mark,', $csv);
        $zip->close();
        $this->artisan('pack:verify', ['file' => $path])->expectsOutput('{"files":'.count($names).',"holds":true}')
            ->assertSuccessful();
        $lines = (string) (new ZipArchive)->open($path);
        foreach ([
            fn (ZipArchive $zip) => $zip->addFromString('marks.csv', $csv.'x'),
            fn (ZipArchive $zip) => $zip->deleteName('pack.pdf'),
            fn (ZipArchive $zip) => $zip->addFromString('more.txt', 'x'),
            fn (ZipArchive $zip) => $zip->addFromString('looks-like-a-folder/', 'and is none'),
            fn (ZipArchive $zip) => $zip->addFromString('../outside.txt', 'x'),
            fn (ZipArchive $zip) => $zip->addFromString('manifest.json', '{"files": {}}'),
            fn (ZipArchive $zip) => $zip->addFromString('manifest.json', str_repeat('[', 5000)),
            fn (ZipArchive $zip) => $zip->addFromString('logbook.jsonl', "[]\n{\"number\": \"x\"}"),
            fn (ZipArchive $zip) => $this->alterLogbook($zip),
        ] as $n => $change) {
            $copy = "{$path}-{$n}";
            copy($path, $copy);
            $zip = new ZipArchive;
            $zip->open($copy);
            $change($zip);
            $zip->close();
            $this->artisan('pack:verify', ['file' => $copy])->assertFailed();
            unlink($copy);
        }
        file_put_contents($path, 'no zip');
        $this->artisan('pack:verify', ['file' => $path])->assertFailed();
        unlink($path);
        $this->artisan('pack:verify', ['file' => $path])->assertFailed();
    }

    /** A line of the logbook is altered, and the manifest made to fit. */
    private function alterLogbook(ZipArchive $zip): void
    {
        $text = (string) $zip->getFromName('logbook.jsonl');
        $altered = (string) preg_replace('/"total":"?\d/', '"total":"9', $text, 1, $count);
        self::assertSame(1, $count);
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
        $manifest['files']['logbook.jsonl'] = hash('sha256', $altered);
        $zip->addFromString('logbook.jsonl', $altered);
        $zip->addFromString('manifest.json', json_encode($manifest, JSON_THROW_ON_ERROR));
    }
}
