<?php

declare(strict_types=1);

namespace Tests\Feature\Peers;

use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Peers\AnswerPeerReview;
use App\Actions\Peers\CloseRound;
use App\Actions\Peers\FlagReview;
use App\Actions\Peers\OpenRound;
use App\Actions\Peers\ReturnReview;
use App\Actions\Peers\SaveRound;
use App\Enums\WhyFlagged;
use App\Enums\WhyReturned;
use App\Models\PeerReview;
use App\Models\User;
use Illuminate\Support\Carbon;
use Tests\Crawl;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * Where a round hides names both ways, nothing that a student is sent gives another away: every page and file reached
 * from Today is searched, while reviewing, while answering, and once the round is closed.
 */
final class HiddenTest extends TestCase
{
    use Crawl;
    use RoundWorld;

    /** @var array<int, list<string>> by student: times of theirs, as pages show times */
    private array $times = [];

    public function test_a_crawl_as_reviewer_and_author_finds_no_name_number_code_or_time_of_another(): void
    {
        $this->module(1, 5);
        $start = now();
        $this->essay = $this->assignment(['title' => 'Salt pans', 'scheme' => $this->oneMark()]);
        foreach ($this->students as $n => $student) {
            $this->at($n, $start->copy()->addMinutes(101 + 17 * $n));
            $signs = [
                'creator' => $student->name, 'last modified by' => $student->name, 'header' => (string) $student->number,
                'first line' => "By {$student->name}", 'text' => $student->email, 'comment author' => $student->name,
            ];
            [$bytes, $kind] = match ($n) {
                0 => [PlantedFiles::pdf(['author' => $student->name, 'text' => $student->email, 'xmp' => $student->name]), 'pdf'],
                1 => [PlantedFiles::odt($signs, [$this->prose(60, $n)]), 'odt'],
                default => [PlantedFiles::docx($signs, [$this->prose(60, $n)]), 'docx'],
            };
            app(PrepareForMarkers::class)(
                app(TakeHandIn::class)($this->essay, $student, [Files::upload($bytes, "{$student->name}.{$kind}")])
            );
        }
        Carbon::setTestNow($start->copy()->addDays(2));
        $this->round = app(SaveRound::class)(
            $this->essay->refresh(), null, 'Peer review', RoundSettings::fromArray(['each' => 2, 'least_words' => 3]),
            ['begins_at' => now(), 'due_at' => now()->addDays(7), 'answers_due_at' => now()->addDays(9)],
            $this->coordinator,
        );
        app(OpenRound::class)($this->round, $this->coordinator);
        $this->give();
        foreach ($this->students as $n => $student) {
            // At none of the minutes at which anything else happens, whenever the check runs.
            $this->at($n, $start->copy()->addDays(3)->addMinutes(197 + 23 * $n));
            foreach ($this->reviewsBy($student) as $k => $review) {
                $n === 4 && $k === 1
                    ? app(ReturnReview::class)($review, WhyReturned::KnowIt, '')
                    : $this->finishReview($review);
            }
        }
        self::assertSame(9, $this->look(), 'each opened the reviews they wrote');
        Carbon::setTestNow($this->round->due_at->copy()->addMinutes(3));
        $answered = PeerReview::query()->where('round_id', $this->round->id)->whereNull('returned_at')->orderBy('id')
            ->with('work.script')->get();
        foreach ($answered as $k => $review) {
            $author = (int) array_search($review->work->script->student_id, array_column($this->students, 'id'), true);
            $this->at($author, $this->round->due_at->copy()->addMinutes(31 + 7 * $k));
            app(AnswerPeerReview::class)($review, $k % 3, 'I will look it up.');
            $k > 0 || app(FlagReview::class)($review, WhyFlagged::Unkind, 'It speaks of me.');
        }
        $this->look();
        $received = preg_grep('~/received/[^/]+$~', array_keys($this->sent)) ?: [];
        self::assertGreaterThan(0, count($received), 'what was received was read');
        Carbon::setTestNow($this->round->answers_due_at->copy()->addMinutes(2));
        app(CloseRound::class)($this->round->refresh(), $this->coordinator);
        $this->look();
        self::assertGreaterThan(4, $this->downloads, 'files were taken');
    }

    /** From now on it is so late, at a time that is only this student's. */
    private function at(int $student, Carbon $when): void
    {
        Carbon::setTestNow($when);
        foreach (['Europe/London', 'UTC'] as $zone) {
            $this->times[$student][] = $when->copy()->setTimezone($zone)->format('H:i');
        }
    }

    /** As each student, everything that can be reached; how many desks of reviews were opened. */
    private function look(): int
    {
        $desks = 0;
        foreach ($this->students as $n => $person) {
            $this->sent = [];
            $this->actingAs(User::query()->findOrFail($person->id));
            $this->crawl(route('today', absolute: false));
            $desks += count(preg_grep('~/peer-reviews/[^/]+$~', array_keys($this->sent)) ?: []);
            self::assertGreaterThan(5, count($this->sent), 'the crawl got somewhere');
            foreach ($this->sent as $address => $text) {
                foreach ($this->students as $k => $other) {
                    if ($k === $n) {
                        continue;
                    }
                    $signs = [
                        $other->name, $other->number, $other->email, $other->public_id,
                        $this->script($this->essay, $k)->code,
                        ...array_diff($this->times[$k] ?? [], $this->times[$n] ?? []),
                    ];
                    foreach ($signs as $sign) {
                        self::assertStringNotContainsStringIgnoringCase(
                            (string) $sign, $text, "{$address} as {$person->name}",
                        );
                    }
                }
            }
        }

        return $desks;
    }
}
