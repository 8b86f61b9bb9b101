<?php

declare(strict_types=1);

namespace Tests\Feature\Reflect;

use App\Actions\Reflect\RemindOfSheets;
use App\Models\Notice;
use App\Models\ReflectionSheet;
use App\Models\SheetAnswer;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/**
 * A reflection of its own: planned, asked for, written, counted, read.
 */
final class SheetTest extends TestCase
{
    /**
     * @return array<string, string>
     */
    private function form(): array
    {
        return [
            'title' => 'After the first week', 'prompts' => "What did you read?\nWhat is missing?\n", 'words' => '3',
            'team_reads' => '0', 'due_at' => now()->addDays(2)->setTimezone('Europe/London')->format('Y-m-d\TH:i'),
        ];
    }

    private function sheet(): ReflectionSheet
    {
        $this->actingAs($this->coordinator)->post(route('sheets.store', $this->module), $this->form())
            ->assertSessionHasNoErrors();

        return ReflectionSheet::query()->latest('id')->firstOrFail();
    }

    public function test_it_is_planned_asked_for_written_and_read_as_a_list(): void
    {
        $this->module(1, 4);
        $this->actingAs($this->coordinator)->get(route('modules.show', $this->module))->assertSee(route('sheets.index', $this->module));
        $this->get(route('sheets.index', $this->module))->assertSee('No reflection yet');
        $this->post(route('sheets.store', $this->module), ['prompts' => "\n", 'words' => '2000'] + $this->form())
            ->assertSessionHasErrors(['prompts', 'words']);
        $sheet = $this->sheet();
        $page = route('sheets.show', $sheet);
        $this->actingAs($this->students[0])->get($page)->assertForbidden();
        $this->get(route('sheets.index', $this->module))->assertDontSee('After the first week');
        $this->actingAs($this->coordinator)->post(route('sheets.open', $sheet))->assertSessionHasNoErrors();
        self::assertSame(4, Notice::query()->where('title', 'like', 'A reflection is asked for%')->count());

        $this->actingAs($this->students[0])->get(route('today'))->assertSee('A reflection to write');
        $this->get($page)->assertSee('What is missing?')->assertSee('Your coordinators read it, with your name.');
        $this->put(route('sheets.write', $sheet), ['texts' => ['The ledger of tolls.', 'Names']])
            ->assertSessionHas('said', 'Kept. 2 more words, and it counts as done.');
        $this->actingAs($this->coordinator)->get($page)->assertSee('0 of 4 have written')->assertDontSee('The ledger of tolls.');
        $this->actingAs($this->students[0])->get($page)->assertSee('The ledger of tolls.');
        $write = fn (int $n, string ...$texts) => $this->actingAs($this->students[$n])
            ->put(route('sheets.write', $sheet), ['texts' => $texts])->assertSessionHasNoErrors();
        $write(0, 'The ledger of tolls.', 'Names of the masters.');
        $this->get(route('today'))->assertDontSee('A reflection to write');
        $write(1, 'A ledger and more.', 'The masters of boats.');
        Carbon::setTestNow(now()->addDays(3));
        $this->actingAs($this->students[2])->get(route('today'))->assertSee('A reflection to write; it was due');
        $this->get($page)->assertSee('counts as late');
        $write(2, 'Our ledger, at last.', 'What the masters paid.');
        $this->actingAs($this->coordinator)->get($page)->assertSee('3 of 4 have written')->assertSee('Names of the masters.')
            ->assertSee(', late')->assertSeeInOrder(['Words that many have in common', 'ledger', 'masters'])
            ->assertSeeInOrder(['Not done', $this->students[3]->name]);
        // Taken back to too few words it is its author's own again.
        $write(1, 'A ledger.', '');
        $this->actingAs($this->coordinator)->get($page)->assertSee('2 of 4 have written')->assertDontSee('A ledger and more.');
        $this->artisan('logbook:verify')->assertExitCode(0);
    }

    public function test_who_reads_it_is_said_and_stays_once_someone_wrote(): void
    {
        $this->module(1, 2);
        $sheet = $this->sheet();
        $this->post(route('sheets.open', $sheet));
        $page = route('sheets.show', $sheet);
        $this->actingAs($this->tutors[0])->get($page)->assertForbidden();
        $this->actingAs($this->students[0])->put(route('sheets.write', $sheet), ['texts' => ['All of the ledgers.', 'Nothing that I know.']]);
        $this->actingAs($this->coordinator)->put(route('sheets.update', $sheet), ['team_reads' => '1'] + $this->form())
            ->assertSessionHasErrors('prompts');
        $this->put(route('sheets.update', $sheet), ['title' => 'After all', 'words' => '2'] + $this->form())
            ->assertSessionHasNoErrors();
        self::assertSame(['After all', false], [$sheet->refresh()->title, $sheet->settings->teamReads]);
        SheetAnswer::query()->delete();
        $this->put(route('sheets.update', $sheet), ['team_reads' => '1'] + $this->form())->assertSessionHasNoErrors();
        $this->actingAs($this->students[0])->get($page)->assertSee('everyone who marks in this module read it');
        $this->actingAs($this->tutors[0])->get($page)->assertOk();
        $this->put(route('sheets.write', $sheet), ['texts' => ['x']])->assertForbidden();
        $this->put(route('sheets.update', $sheet), $this->form())->assertForbidden();
    }

    public function test_whoever_has_not_written_is_reminded_once(): void
    {
        $this->module(1, 2);
        $sheet = $this->sheet();
        $this->post(route('sheets.open', $sheet));
        $this->actingAs($this->students[0])->put(route('sheets.write', $sheet), ['texts' => ['All of the ledgers.', 'Nothing that I know.']]);
        Carbon::setTestNow($sheet->due_at->copy()->subHours(2));
        app(RemindOfSheets::class)();
        app(RemindOfSheets::class)();
        self::assertSame(
            [$this->students[1]->id], Notice::query()->where('title', 'like', 'Not written yet%')->pluck('user_id')->all(),
        );
    }
}
