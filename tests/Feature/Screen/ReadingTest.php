<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Models\Assignment;
use App\Models\OverlapReport;
use App\Models\Script;
use App\Support\OverlapReading;
use Tests\TestCase;

final class ReadingTest extends TestCase
{
    private Assignment $work;

    /** The first script takes 40 words from one classmate, 20 from another, and 12 that both of them have. */
    private function threeSources(): Script
    {
        $this->module(2, 4);
        $this->work = $this->assignment();
        $large = $this->prose(40, 1);
        $small = $this->prose(20, 2);
        $common = $this->prose(12, 3);
        $own = fn (int $seed): string => $this->prose(30, $seed);
        foreach ([
            "{$own(10)} {$large} {$own(11)} {$common} {$own(12)} {$small} {$own(13)}",
            "{$own(20)} {$large} {$own(21)} {$common}",
            "{$common} {$own(30)} {$small} {$own(31)}",
            $own(40),
        ] as $n => $text) {
            app(TakeHandIn::class)($this->work, $this->students[$n], $text);
        }

        return $this->script($this->work);
    }

    public function test_sources_are_lettered_by_their_words_and_their_counts_add_up(): void
    {
        $script = $this->threeSources();
        $reading = app(OverlapReading::class)->of($script->refresh(), 1);
        $report = OverlapReport::query()->where('handin_id', $script->current_handin_id)->sole();

        self::assertSame([72, 192], [$report->matched, $report->counted]);
        self::assertSame(['A', 'B'], array_column($reading['letters'], 'letter'));
        self::assertSame(72, array_sum(array_column($reading['letters'], 'words')), 'no word counted twice');
        self::assertSame(
            [$this->script($this->work, 1)->code, $this->script($this->work, 2)->code],
            array_column($reading['letters'], 'code'),
        );
        // What both have is credited to one of them only.
        self::assertSame([52, 20], array_column($reading['letters'], 'words'));
        self::assertSame('37.5', $report->share);
    }

    public function test_each_run_is_read_with_its_context_and_the_same_words_marked_on_both_sides(): void
    {
        $script = $this->threeSources();
        $runs = app(OverlapReading::class)->of($script, 1)['runs'];
        self::assertCount(3, $runs);
        foreach ($runs as $i => $run) {
            $current = app(OverlapReading::class)->of($script, $i + 1)['current'];
            $same = fn (string $side): string => implode(' ', array_column(array_filter($current[$side]['parts'], fn (array $part) => $part['same']), 'text'));
            self::assertSame($same('here'), $same('there'));
            self::assertSame($run->words, count(explode(' ', $same('here'))));
            self::assertTrue($current['run']->is($run));
        }
    }

    public function test_numbers_past_the_last_run_and_before_the_first_stay_in_range(): void
    {
        $script = $this->threeSources();
        self::assertSame(3, app(OverlapReading::class)->of($script, 99)['number']);
        self::assertSame(1, app(OverlapReading::class)->of($script, -5)['number']);
        $alone = app(OverlapReading::class)->of($this->script($this->work, 3), 1);
        self::assertNull($alone['current']);
        self::assertStringStartsWith(explode(' ', $this->prose(1, 40))[0] === '' ? '' : rtrim($this->prose(1, 40), '.'), (string) $alone['text']);
    }

    public function test_an_assignment_compares_its_own_hand_ins_only(): void
    {
        $this->threeSources();
        $other = $this->assignment(['title' => 'Another']);
        $text = "{$this->prose(40, 1)} and nothing else.";
        $handin = app(TakeHandIn::class)($other, $this->students[3], $text);
        self::assertSame(0, OverlapReport::query()->where('handin_id', $handin->id)->sole()->matched);
    }
}
