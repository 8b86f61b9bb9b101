<?php

declare(strict_types=1);

namespace Tests\Feature\Peers;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\SyncDesk;
use App\Actions\Peers\FinishReview;
use App\Actions\Peers\OpenRound;
use App\Actions\Peers\PlanReviews;
use App\Actions\Peers\SaveRound;
use App\Models\Assignment;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * Rounds of peer review with people in them.
 */
trait RoundWorld
{
    private Assignment $essay;

    private Round $round;

    /**
     * Students hand in, some or all; the due time passes; a round is planned and shown.
     *
     * @param  array<string, mixed>  $settings
     * @param  list<int>|null  $in  who hands in; null: everyone
     */
    private function round(int $students, array $settings = [], ?array $in = null): void
    {
        $this->module(1, $students);
        $this->essay = $this->assignment(['title' => 'Salt pans', 'scheme' => $this->oneMark()]);
        foreach ($in ?? array_keys($this->students) as $n) {
            app(TakeHandIn::class)($this->essay, $this->students[$n], "Essay number {$n}. ".$this->prose(80, $n));
        }
        Carbon::setTestNow(now()->addDays(2));
        $this->round = app(SaveRound::class)(
            $this->essay->refresh(), null, 'Peer review', RoundSettings::fromArray($settings + ['each' => 2, 'least_words' => 5]),
            ['begins_at' => now(), 'due_at' => now()->addDays(7), 'answers_due_at' => now()->addDays(9)],
            $this->coordinator,
        );
        app(OpenRound::class)($this->round, $this->coordinator);
        $this->round->refresh();
    }

    private function give(): Round
    {
        app(PlanReviews::class)($this->round->refresh(), null);

        return $this->round->refresh();
    }

    private function memberOf(User $student): RoundMember
    {
        return RoundMember::query()->where('round_id', $this->round->id)->where('user_id', $student->id)->sole();
    }

    /**
     * @return Collection<int, PeerReview>
     */
    private function reviewsBy(User $student): Collection
    {
        return PeerReview::query()->where('round_member_id', $this->memberOf($student)->id)->where('own', false)
            ->whereNull('returned_at')->orderBy('place')->orderBy('id')->get();
    }

    private function write(PeerReview $review, string $first = 'l2', string $second = 'l2', string $say = 'Say more of how the salt was sold.'): void
    {
        app(SyncDesk::class)($review->mark, [
            ['key' => 'mark:c1', 'was' => [], 'now' => ['stop' => $first]],
            ['key' => 'mark:c2', 'was' => [], 'now' => ['stop' => $second]],
            ['key' => 'words:c1', 'was' => '', 'now' => "{$say} One."],
            ['key' => 'words:c2', 'was' => '', 'now' => "{$say} Two."],
            ['key' => 'general', 'was' => '', 'now' => $say],
        ]);
    }

    private function finishReview(PeerReview $review, string $first = 'l2', string $second = 'l2'): void
    {
        $this->write($review, $first, $second);
        self::assertSame([], app(FinishReview::class)($review->refresh(), false));
    }
}
