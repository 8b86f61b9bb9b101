<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\Mark\ChangeMark;
use App\Keeping\KeptKind;
use App\Keeping\KeptKinds;
use App\Keeping\PersonalData;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use ZipArchive;

/**
 * What is kept of people: all of it known by kind, told, and handed over.
 */
final class KeptTest extends TestCase
{
    /**
     * @return array<string, string> what is in the ZIP, by name
     */
    private function unpacked(StreamedResponse $answer): array
    {
        ob_start();
        $answer->sendContent();
        $path = (string) tempnam(sys_get_temp_dir(), 'kept');
        file_put_contents($path, (string) ob_get_clean());
        $zip = new ZipArchive;
        self::assertTrue($zip->open($path));
        $found = [];
        for ($n = 0; $n < $zip->count(); $n++) {
            $found[(string) $zip->getNameIndex($n)] = (string) $zip->getFromIndex($n);
        }
        unlink($path);

        return $found;
    }

    public function test_every_table_is_known_as_holding_something_of_people_or_nothing(): void
    {
        $known = [...KeptKinds::NOBODYS, ...array_map(fn (KeptKind $kind) => $kind->table, KeptKinds::all())];
        $tables = array_map(fn (array $table) => $table['name'], Schema::getTables(schema: DB::getDatabaseName()));
        self::assertSame([], array_values(array_diff($tables, $known)), 'tables that nobody has thought about');
        self::assertSame([], array_values(array_diff($known, $tables)));
        $user = User::factory()->create();
        foreach (KeptKinds::all() as $kind) {
            self::assertSame([], array_diff($kind->columns, Schema::getColumnListing($kind->table)), $kind->name);
            self::assertTrue(Lang::has("keeping.kinds.{$kind->name}.1"), $kind->name);
            // None of them can be asked for the wrong person.
            self::assertStringContainsString('?', $kind->rows);
        }
        $names = array_map(fn (KeptKind $kind) => $kind->name, KeptKinds::all());
        self::assertSame($names, array_unique($names));
        self::assertSame(['account' => 1], app(PersonalData::class)->counts($user));
    }

    public function test_a_student_takes_away_what_is_theirs_and_nothing_of_others(): void
    {
        $this->module(2, 2);
        [$student, $other] = $this->students;
        $assignment = $this->released();
        $membership = Membership::query()->where('user_id', $student->id)->sole();
        foreach ([[true, 'Come and see me.'], [false, 'Not for the student.']] as [$reads, $body]) {
            MemberNote::query()->create([
                'membership_id' => $membership->id, 'body' => $body, 'student_reads' => $reads,
                'author_id' => $this->coordinator->id,
            ]);
        }
        $page = $this->actingAs($student)->get(route('kept'))->assertOk()->assertSee('Files you handed in')
            ->assertSee('Notes about you')->assertDontSee('Marks you gave');
        $page->assertSee('because academic honesty is checked');
        $this->post(route('kept.download'), ['current_password' => 'wrong'])->assertSessionHasErrors('current_password');
        $answer = $this->post(route('kept.download'), ['current_password' => 'low-water-mark'])->assertOk();
        self::assertInstanceOf(StreamedResponse::class, $answer->baseResponse);
        $files = $this->unpacked($answer->baseResponse);
        $data = json_decode($files['data.json'], true, 64, JSON_THROW_ON_ERROR)['kinds'];
        self::assertSame($student->email, $data['account'][0]['email']);
        self::assertSame($assignment->title, $data['handins'][0]['assignment']);
        self::assertSame('Come and see me.', $data['member_notes'][0]['body']);
        $handedIn = array_values(array_filter(array_keys($files), fn (string $name) => str_starts_with($name, 'files/files-')));
        self::assertCount(1, $handedIn);
        self::assertStringContainsString('Essay number 0.', $files[$handedIn[0]]);
        self::assertStringContainsString($handedIn[0], $files['index.html']);
        self::assertStringContainsString('Comment of the first marker.', $files['index.html'].$files['data.json']);
        $all = implode("\n", $files);
        foreach ([$other->name, $other->email, $this->tutors[0]->name, $this->coordinator->name, 'Not for the student.',
            'Essay number 1.', (string) $student->password, Script::query()->where('student_id', $student->id)->sole()->code] as $not) {
            self::assertStringNotContainsString($not, $all);
        }
        self::assertSame(1, LogbookLine::query()->where('event', LogEvent::DataHandedOver)->count());
    }

    public function test_marks_and_what_led_to_them_are_not_in_it_before_results_are_out(): void
    {
        $this->module(2, 1);
        $assignment = $this->sharedOut($this->assignment());
        $this->finishBoth($this->script($assignment));
        $files = $this->unpacked($this->actingAs($this->students[0])
            ->post(route('kept.download'), ['current_password' => 'low-water-mark'])->baseResponse);
        self::assertStringNotContainsString('Comment of the', implode("\n", $files));
        self::assertArrayNotHasKey('results', json_decode($files['data.json'], true)['kinds']);
    }

    public function test_an_administrator_hands_over_all_for_a_reason_and_a_marker_gets_their_own_words(): void
    {
        $this->module(2, 1);
        $assignment = $this->sharedOut($this->assignment());
        $mark = $this->markOf($this->script($assignment), Seat::First);
        app(ChangeMark::class)($mark, fn (Mark $stored) => $stored->fill(['private_note' => 'Look again at page two.']));
        MemberNote::query()->create([
            'membership_id' => Membership::query()->where('user_id', $this->students[0]->id)->sole()->id,
            'body' => 'Not for the student.', 'student_reads' => false, 'author_id' => $this->coordinator->id,
        ]);
        $admin = User::factory()->create(['is_admin' => true]);
        $this->actingAs($admin)->post(route('institution.person.data', $this->students[0]), ['reason' => ''])
            ->assertSessionHasErrors('reason');
        $files = $this->unpacked($this->post(
            route('institution.person.data', $this->students[0]), ['reason' => 'Asked in writing on 3 March.'],
        )->assertOk()->baseResponse);
        self::assertStringContainsString('Not for the student.', $files['index.html']);
        self::assertStringNotContainsString('Look again at page two.', implode("\n", $files), 'a mark that is not out');
        $marker = $this->unpacked($this->post(
            route('institution.person.data', $mark->marker), ['reason' => 'Asked in writing on 3 March.'],
        )->baseResponse);
        self::assertStringContainsString('Look again at page two.', $marker['index.html']);
        self::assertStringNotContainsString($this->students[0]->name, implode("\n", $marker));
        self::assertStringNotContainsString($mark->script->code, implode("\n", $marker));
        $line = LogbookLine::query()->where('event', LogEvent::DataHandedOver)->with('words')->firstOrFail();
        self::assertSame('Asked in writing on 3 March.', $line->text('reason'));
    }
}
