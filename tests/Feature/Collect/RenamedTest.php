<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Account\ChangeAccount;
use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Keeping\ErasePerson;
use App\Actions\Screen\CompareHandin;
use App\Events\HandinRead;
use App\Handins\WorkReader;
use App\Jobs\CompareHandinJob;
use App\Jobs\PrepareHandinJob;
use App\Jobs\ReadAnewJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\OverlapSource;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;

/**
 * Someone is called otherwise now: what they are called and what they were is hidden in their work.
 */
final class RenamedTest extends TestCase
{
    private const BOTH = "Tide mills\n\nby Ailbhe Thistlewood, once known as Robert Fennimore\n\n";

    private User $admin;

    private Assignment $work;

    protected function setUp(): void
    {
        parent::setUp();
        $this->admin = User::factory()->create(['is_admin' => true]);
        $this->module(1, 2);
        $this->students[0]->update([
            'name' => 'Robert Fennimore', 'email' => 'r.fennimore@merrow.example', 'former_names' => null,
        ]);
        $this->work = $this->assignment();
    }

    private function handIn(string $text, int $student = 0): Handin
    {
        return app(TakeHandIn::class)(
            $this->work, $this->students[$student]->refresh(), $text, array_fill(0, 9, 'None.'),
        )->refresh();
    }

    private function rename(string $name): void
    {
        app(ChangeAccount::class)($this->students[0]->refresh(), ['name' => $name], $this->admin);
    }

    public function test_both_names_are_hidden_in_what_was_handed_in_before_and_comes_after(): void
    {
        $handin = $this->handIn(self::BOTH.$this->prose(80, 1));
        self::assertStringContainsString('Ailbhe Thistlewood', $handin->text);
        self::assertStringNotContainsString('Robert', $handin->text);
        $seal = [$handin->sha256, $handin->seal, $handin->received_at, $handin->attempt, $handin->words];
        $this->rename('Ailbhe Thistlewood');
        $handin->refresh();
        foreach (['text', 'html'] as $column) {
            self::assertDoesNotMatchRegularExpression('/Fennimore|Thistlewood/', $handin->{$column});
            self::assertStringContainsString('[name hidden]', $handin->{$column});
        }
        self::assertEquals(
            $seal, [$handin->sha256, $handin->seal, $handin->received_at, $handin->attempt, $handin->words],
        );
        self::assertSame($handin->id, $handin->script->refresh()->current_handin_id);
        $next = $this->handIn(self::BOTH.$this->prose(80, 2));
        self::assertDoesNotMatchRegularExpression('/Fennimore|Thistlewood/', $next->text.$next->html);
        // A third name: the first two stay hidden.
        $this->rename('Ailbhe Ó Cadhla');
        self::assertDoesNotMatchRegularExpression('/Fennimore|Thistlewood/', $next->refresh()->text.$handin->refresh()->text);
        self::assertSame(
            ['Robert Fennimore', 'Ailbhe Thistlewood'], array_column($this->students[0]->refresh()->former_names ?? [], 'name'),
        );
        self::assertCount(3, WorkReader::masks([$this->students[0]]));
    }

    public function test_prints_are_of_the_new_text_and_the_work_is_compared_again(): void
    {
        $handin = $this->handIn(self::BOTH.$this->prose(80, 1));
        app(CompareHandin::class)($handin);
        $before = DB::table('overlap_prints')->orderBy('hash')->pluck('hash')->all();
        $source = OverlapSource::query()->where('handin_id', $handin->id)->firstOrFail();
        Queue::fake([CompareHandinJob::class]);
        $this->rename('Ailbhe Thistlewood');
        self::assertSame(0, OverlapSource::query()->whereKey($source->id)->count());
        Queue::assertPushed(CompareHandinJob::class, fn (CompareHandinJob $job) => $job->handinId === $handin->id);
        app(CompareHandin::class)($handin->refresh());
        $after = DB::table('overlap_prints')->orderBy('hash')->pluck('hash')->all();
        self::assertNotSame($before, $after);
        self::assertNotSame([], array_intersect($before, $after));
    }

    public function test_pages_of_a_pdf_are_drawn_again_with_all_names_hidden(): void
    {
        $lines = ['Tide mills', 'by Ailbhe Thistlewood', 'once Robert Fennimore', 'Salt was dear.'];
        $handin = app(TakeHandIn::class)(
            $this->work, $this->students[0]->refresh(), Files::upload(Files::pdf(...$lines), 'a.pdf'),
            array_fill(0, 9, 'None.'),
        )->refresh();
        app(PrepareForMarkers::class)($handin);
        $first = $handin->files()->sole()->pages_path;
        self::assertNotNull($first);
        Queue::fake([PrepareHandinJob::class]);
        $this->rename('Ailbhe Thistlewood');
        Queue::assertPushed(PrepareHandinJob::class, fn (PrepareHandinJob $job) => $job->handinId === $handin->id);
        app(PrepareForMarkers::class)($handin->refresh());
        self::assertNotSame($first, $handin->files()->sole()->pages_path);
        self::assertFalse(Storage::exists($first));
        $drawn = Storage::path((string) $handin->files()->sole()->pages_path);
        $pages = (string) shell_exec('pdftotext '.escapeshellarg($drawn).' -');
        self::assertDoesNotMatchRegularExpression('/Fennimore|Thistlewood/', $handin->text.$handin->html.$pages);
    }

    public function test_what_names_nobody_new_stays_as_it_is_and_nothing_is_read_once_names_are_shown(): void
    {
        $plain = $this->handIn("Tide mills\n\n".$this->prose(80, 3));
        $named = $this->handIn(self::BOTH.$this->prose(80, 4), 1);
        Event::fake([HandinRead::class]);
        $this->rename('Ailbhe Thistlewood');
        Event::assertNotDispatched(HandinRead::class);
        self::assertSame($plain->text, $plain->refresh()->text);
        $this->work->forceFill(['names_revealed_at' => now()])->save();
        app(ChangeAccount::class)($this->students[1]->refresh(), ['name' => 'Ailbhe Thistlewood'], $this->admin);
        self::assertSame($named->text, $named->refresh()->text);
    }

    public function test_a_file_that_cannot_be_read_this_time_takes_nothing_away(): void
    {
        $handin = $this->handIn(self::BOTH.$this->prose(80, 1));
        Storage::put((string) $handin->files()->sole()->path, '');
        $this->rename('Ailbhe Thistlewood');
        self::assertSame($handin->text, $handin->refresh()->text);
        self::assertNull($handin->unreadable);
        self::assertSame($handin->id, $handin->script->current_handin_id);
    }

    public function test_a_number_alone_and_a_change_of_nothing_that_names(): void
    {
        Queue::fake([ReadAnewJob::class]);
        app(ChangeAccount::class)($this->students[0], ['given_name' => 'Robert', 'family_name' => 'Fennimore'], $this->admin);
        Queue::assertNotPushed(ReadAnewJob::class);
        app(ChangeAccount::class)($this->students[0]->refresh(), ['number' => 'M555001'], $this->admin);
        Queue::assertPushed(ReadAnewJob::class, 1);
        self::assertNotNull($this->students[0]->refresh()->former_names);
    }

    public function test_former_names_go_when_a_person_is_erased(): void
    {
        $this->handIn(self::BOTH.$this->prose(80, 1));
        $this->rename('Ailbhe Ó Cadhla');
        DB::table('assignments')->update(['brief' => 'See what Robert Fennimore and Ailbhe Ó Cadhla wrote.', 'results_out_at' => now()]);
        app(ErasePerson::class)($this->students[0]->refresh(), 'Asked. Robert Fennimore wrote.', $this->admin);
        self::assertNull($this->students[0]->refresh()->former_names);
        self::assertDoesNotMatchRegularExpression('/Fennimore|Thistlewood/', (string) DB::table('assignments')->value('brief'));
        self::assertStringNotContainsString('Cadhla', (string) DB::table('assignments')->value('brief'));
        self::assertDoesNotMatchRegularExpression('/Fennimore|Thistlewood/', (string) DB::table('erasures')->value('reason'));
    }
}
