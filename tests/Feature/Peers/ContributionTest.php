<?php

declare(strict_types=1);

namespace Tests\Feature\Peers;

use App\Actions\Collect\SetGroups;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Peers\OpenContribution;
use App\Actions\Peers\RateMembers;
use App\Actions\Peers\RemindOfContributions;
use App\Actions\Peers\SaveContribution;
use App\Enums\HandInBy;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\Contribution;
use App\Models\ContributionFactor;
use App\Models\ContributionRating;
use App\Models\Notice;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Carbon;
use Tests\Crawl;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Peers\ContributionSettings;

/**
 * Members of groups say who did how much, and what becomes of it.
 */
final class ContributionTest extends TestCase
{
    use Crawl;

    private Assignment $walk;

    private Contribution $contribution;

    /**
     * Groups of these sizes, each of which has handed in; members are asked.
     *
     * @param  list<int>  $sizes
     * @param  array<string, mixed>  $settings
     */
    private function inGroups(array $sizes, array $settings = []): void
    {
        $this->module(1, array_sum($sizes));
        $this->walk = $this->assignment([
            'title' => 'A walk', 'scheme' => $this->oneMark(), 'handin_by' => HandInBy::GroupOneMark,
        ]);
        $of = [];
        $at = 0;
        foreach ($sizes as $n => $size) {
            for ($k = 0; $k < $size; $k++) {
                $of[$this->students[$at++]->id] = "Group {$n}";
            }
        }
        app(SetGroups::class)($this->walk, $of, 'list');
        $at = 0;
        foreach ($sizes as $size) {
            app(TakeHandIn::class)($this->walk, $this->students[$at], 'What we saw. '.$this->prose(60, $at));
            $at += $size;
        }
        Carbon::setTestNow(now()->addDays(2));
        $this->contribution = app(SaveContribution::class)(
            $this->walk->refresh(), ContributionSettings::fromArray($settings + ['criteria' => ['Work']]),
            now()->addDays(3), $this->coordinator,
        );
        app(OpenContribution::class)($this->contribution, $this->coordinator);
        $this->contribution->refresh();
    }

    /**
     * @param  array<int, int>  $points  by a member's number
     */
    private function rate(int $rater, array $points): void
    {
        app(RateMembers::class)($this->contribution, array_combine(
            array_map(fn (int $n) => $this->students[$n]->public_id, array_keys($points)),
            array_map(fn (int $one) => [$one], $points),
        ), [], $this->students[$rater]);
    }

    private function times(int $student): string
    {
        $factor = ContributionFactor::query()->whereHas(
            'script', fn ($script) => $script->where('student_id', $this->students[$student]->id),
        )->with('contribution')->sole();

        return (string) $factor->toCore()->multiplier()->simplified();
    }

    public function test_it_is_planned_asked_rated_closed_and_joins_the_mark(): void
    {
        $this->module(1, 3);
        $this->walk = $this->assignment(['title' => 'A walk', 'scheme' => $this->oneMark(), 'handin_by' => HandInBy::GroupOneMark]);
        $form = [
            'criteria' => "Work\nWriting\n", 'weight' => '50', 'own' => '1', 'silent_even' => '1', 'floor' => '50', 'cap' => '120',
            'due_at' => now()->addDays(4)->format('Y-m-d\TH:i'),
        ];
        $page = route('contribution.index', $this->walk);
        $this->actingAs($this->coordinator)->get($page)->assertOk()->assertSee('Nothing is planned yet');
        $this->put(route('contribution.save', $this->walk), ['cap' => '90', 'criteria' => ''] + $form)
            ->assertSessionHasErrors(['cap', 'criteria']);
        self::assertSame(0, Contribution::query()->count());
        $this->put(route('contribution.save', $this->walk), $form)->assertRedirect($page);
        $this->contribution = Contribution::query()->sole();
        self::assertSame(['Work', 'Writing'], $this->contribution->settings->criteria);
        $this->post(route('contributions.open', $this->contribution))->assertSessionHasErrors('refused');
        app(SetGroups::class)($this->walk, array_fill_keys(array_column($this->students, 'id'), 'Group 1'), 'list');
        app(TakeHandIn::class)($this->walk, $this->students[0], $this->prose(60, 1));
        $this->post(route('contributions.open', $this->contribution))->assertSessionHasNoErrors();
        self::assertSame(3, Notice::query()->where('title', 'like', 'Say who did how much%')->count());

        // As members: on Today, from the page of the assignment, saved whole or not at all.
        $show = route('contributions.show', $this->contribution);
        $points = fn (int ...$of): array => array_combine(
            array_column($this->students, 'public_id'), array_map(fn (int $one) => [$one, $one], $of),
        );
        $this->actingAs($this->students[0])->get(route('today'))->assertSee('Say who did how much in your group');
        $this->get(route('hand-in.show', $this->walk))->assertSee($show);
        $this->get($show)->assertOk()->assertSee($this->students[1]->name)->assertSee('Only your coordinators see');
        $rate = route('contributions.rate', $this->contribution);
        $this->put($rate, ['points' => [$this->students[0]->public_id => [3, 3]]])->assertSessionHasErrors('points');
        $this->put($rate, ['points' => $points(3, 3, 9)])->assertSessionHasErrors();
        self::assertSame(0, ContributionRating::query()->count());
        $this->put($rate, ['points' => $points(3, 3, 0), 'notes' => [$this->students[2]->public_id => 'Never came.']])
            ->assertRedirect($show);
        $this->get(route('today'))->assertDontSee('Say who did how much in your group');
        $this->actingAs($this->students[1])->put($rate, ['points' => $points(3, 3, 0)]);
        $this->actingAs($this->students[2])->put($rate, ['points' => $points(4, 4, 4)]);

        // The coordinator sees all of it, by name, and closes it: everyone has rated.
        $this->actingAs($this->coordinator)->get($page)->assertSee('3 of 3 have rated')->assertSee('Never came.')
            ->assertSee('give each other at least twice');
        $this->post(route('contributions.close', $this->contribution))->assertSessionHasNoErrors();
        // 0.5 + 0.5 × (1/2 + 1/2 + 1/3) = 7/6, and for the third 0.5 + 0.5 × 1/3 = 2/3.
        self::assertSame(['7/6', '7/6', '2/3'], [$this->times(0), $this->times(1), $this->times(2)]);
        Carbon::setTestNow(now()->addDays(3));
        $this->shareOut($this->walk);
        $this->finish($this->markOf($this->script($this->walk)->leadScript(), Seat::First), 'l2', 'l2');
        $settled = $this->script($this->walk)->leadScript()->settlement?->toCore()->mark;
        $final = fn (int $n) => $this->script($this->walk, $n)->finalMark(1);
        self::assertSame(
            (string) $settled?->multipliedBy(2)->dividedBy(3)->toScale(
                1, \Brick\Math\RoundingMode::HALF_UP,
            ), (string) $final(2)->mark,
        );
        self::assertContains('× 0.666…: factor 0.333…, of which 50 % counts', array_column($final(2)->working->toArray(), 'how'));
    }

    public function test_what_is_by_name_is_left_out_beside_codes_until_names_are_revealed(): void
    {
        $this->inGroups([3]);
        foreach ([0, 1, 2] as $n) {
            $this->rate($n, [0 => 4, 1 => 2, 2 => 2]);
        }
        $this->actingAs($this->coordinator)->post(route('contributions.close', $this->contribution));
        $this->shareOut($this->walk);
        $lead = $this->script($this->walk)->leadScript();
        $this->finish($this->markOf($lead, Seat::First), 'l2', 'l2');
        $group = (string) $lead->settlement?->toCore()->mark->toScale(1);
        $this->get(route('release.index', $this->walk))->assertOk()->assertSee($group)->assertSee('Marks here leave out');
        foreach ([0, 1, 2] as $n) {
            $this->get(route('release.preview', $this->script($this->walk, $n)))->assertDontSee('Your part in the group')
                ->assertSee('Marks here leave out');
        }
        $this->post(route('release.store', $this->walk), ['which' => 'all'])->assertSessionHasNoErrors();
        $this->actingAs($this->students[0])->get(route('results.show', $this->script($this->walk)->refresh()->result))
            ->assertOk()->assertSee('Your part in the group')->assertSee('× 1.2: factor 1.5');
        // Out is out: what would move it goes by a corrected result.
        $this->actingAs($this->coordinator)->put(route('contributions.set', $this->contribution), [
            'member' => $this->students[0]->public_id, 'times' => '1', 'reason' => 'They agreed on it.',
        ])->assertSessionHasErrors('refused');
        $this->post(route('contributions.reopen', $this->contribution), ['due_at' => now()->addDay()->format('Y-m-d\TH:i')])
            ->assertSessionHasErrors('refused');
    }

    public function test_results_wait_for_it_and_a_multiplier_is_set_with_a_reason(): void
    {
        $this->inGroups([2, 1]);
        $this->rate(0, [0 => 3, 1 => 1]);
        $this->shareOut($this->walk);
        foreach ([0, 2] as $n) {
            $this->finish($this->markOf($this->script($this->walk, $n)->leadScript(), Seat::First), 'l2', 'l2');
        }
        $this->actingAs($this->coordinator)->get(route('release.index', $this->walk))
            ->assertSee(route('contribution.index', $this->walk));
        $this->post(route('release.store', $this->walk), ['which' => 'all'])->assertSessionHasErrors('refused');
        $this->post(route('contributions.close', $this->contribution))->assertSessionHasErrors('refused');
        $this->post(route('contributions.reopen', $this->contribution), ['due_at' => now()->addDay()->format('Y-m-d\TH:i')])
            ->assertSessionHasErrors('refused');
        Carbon::setTestNow($this->contribution->due_at->copy()->addMinute());
        $this->get(route('today'))->assertSee('The time for rating parts in groups is over');
        $this->post(route('contributions.close', $this->contribution))->assertSessionHasNoErrors();
        // The silent one counts as having given both the same; a group of one has no factor.
        self::assertSame(['9/8', '7/8'], [$this->times(0), $this->times(1)]);
        self::assertSame(2, ContributionFactor::query()->count());
        $set = fn (array $form) => $this->put(route('contributions.set', $this->contribution), $form + [
            'member' => $this->students[1]->public_id, 'reason' => 'Ill for a week.',
        ]);
        $set(['times' => '4'])->assertSessionHasErrors('times');
        $set(['times' => '0,95', 'reason' => ''])->assertSessionHasErrors('reason');
        $set(['times' => '0,95'])->assertSessionHasNoErrors();
        self::assertSame('19/20', $this->times(1));
        $this->get(route('contribution.index', $this->walk))->assertSee('× 0.95, decided by a coordinator')
            ->assertSee('Ill for a week.');
        $set(['times' => ''])->assertSessionHasNoErrors();
        self::assertSame('7/8', $this->times(1));
        $set(['times' => '1', 'member' => $this->students[2]->public_id])->assertSessionHasErrors('refused');
        $this->post(route('contributions.reopen', $this->contribution), ['due_at' => now()->addDay()->format('Y-m-d\TH:i')])
            ->assertSessionHasNoErrors();
        self::assertSame(0, ContributionFactor::query()->count());
        $this->rate(1, [0 => 1, 1 => 1]);
        $this->artisan('logbook:verify')->assertExitCode(0);
    }

    public function test_what_comes_late_or_from_elsewhere_is_refused_and_who_left_is_no_part(): void
    {
        $this->inGroups([3, 2]);
        $refused = function (callable $do): string {
            try {
                $do();
            } catch (Refused $e) {
                return $e->getMessage();
            }
            self::fail('taken');
        };
        // Someone of another group is nobody's business.
        $this->rate(0, [0 => 3, 1 => 3, 2 => 3, 3 => 4]);
        self::assertSame(3, ContributionRating::query()->count());
        $this->rate(1, [0 => 4, 1 => 4, 2 => 0]);
        Script::query()->where('student_id', $this->students[2]->id)->update(['left_at' => now()]);
        $this->rate(1, [0 => 2, 1 => 4]);
        $this->actingAs($this->students[3])->get(route('contributions.show', $this->contribution))
            ->assertSee('can tell the other what you said');
        Carbon::setTestNow($this->contribution->due_at->copy()->subHours(3));
        app(RemindOfContributions::class)();
        app(RemindOfContributions::class)();
        self::assertSame(
            [$this->students[3]->id, $this->students[4]->id],
            Notice::query()->where('title', 'like', 'Not yet said%')->orderBy('user_id')->pluck('user_id')->all(),
        );
        Carbon::setTestNow($this->contribution->due_at->copy()->addSecond());
        self::assertStringContainsString('The time for rating is over', $refused(fn () => $this->rate(0, [0 => 1, 1 => 1])));
        $this->actingAs($this->coordinator)->post(route('contributions.close', $this->contribution));
        // The first gave both 3, the second 2 and 4: 1/2 + 1/3 and 1/2 + 2/3; whoever left is in neither.
        self::assertSame(['11/12', '13/12'], [$this->times(0), $this->times(1)]);
        self::assertSame(4, ContributionFactor::query()->count());
        self::assertStringContainsString('has been closed', $refused(fn () => $this->rate(0, [0 => 1, 1 => 1])));
    }

    public function test_nobody_but_coordinators_sees_who_rated_whom(): void
    {
        $this->inGroups([3], ['criteria' => ['Work', 'Writing']]);
        $note = 'Zugzwang was their only word.';
        app(RateMembers::class)($this->contribution, array_combine(
            array_column($this->students, 'public_id'), [[3, 2], [4, 1], [0, 1]],
        ), [$this->students[1]->public_id => $note], $this->students[0]);
        $this->shareOut($this->walk);
        $this->finish($this->markOf($this->script($this->walk)->leadScript(), Seat::First), 'l2', 'l2');
        Carbon::setTestNow($this->contribution->due_at->copy()->addSecond());
        foreach ([false, true] as $closed) {
            $closed && $this->actingAs($this->coordinator)->post(route('contributions.close', $this->contribution));
            $closed && $this->post(route('release.store', $this->walk), ['which' => 'all'])->assertSessionHasNoErrors();
            foreach ([$this->students[1], $this->students[2], ...$this->tutors] as $person) {
                $this->sent = [];
                $this->actingAs(User::query()->findOrFail($person->id));
                $this->crawl(route('today', absolute: false));
                self::assertGreaterThan(5, count($this->sent));
                foreach ($this->sent as $address => $text) {
                    self::assertStringNotContainsString('Zugzwang', $text, "{$address} as {$person->name}");
                    self::assertStringNotContainsString('have rated', $text, "{$address} as {$person->name}");
                }
                $this->get(route('contribution.index', $this->walk))->assertForbidden();
            }
        }
        // What one said oneself stands in one's own form, and nothing of the others'.
        $html = (string) $this->actingAs($this->students[1])->get(route('contributions.show', $this->contribution))->getContent();
        self::assertStringNotContainsString('checked', $html);
        $this->actingAs($this->students[0])->get(route('contributions.show', $this->contribution))->assertSee($note);
        $this->actingAs($this->coordinator)->get(route('contribution.index', $this->walk))->assertSee($note);
    }
}
