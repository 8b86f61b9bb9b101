<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\JoinedMark;
use YoungHarbor\Core\Marks\Lateness;
use YoungHarbor\Core\Marks\Length;
use YoungHarbor\Core\Marks\MarkRules;
use YoungHarbor\Core\Peers\Nearness;
use YoungHarbor\Core\Peers\ReviewingFacts;
use YoungHarbor\Core\Peers\ReviewingMark;
use YoungHarbor\Core\Peers\ReviewingWeights;
use YoungHarbor\Core\Peers\RoundCode;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * How a round is set, what reviewing in it comes to, and how peers' marks join those of staff. Worked by hand.
 */
final class RoundTest extends TestCase
{
    public function test_settings_read_back_as_they_were_written(): void
    {
        $usual = RoundSettings::usual();
        self::assertEquals($usual, RoundSettings::fromArray($usual->toArray()));
        self::assertFalse($usual->counts());
        $set = RoundSettings::fromArray([
            'each' => 4, 'share' => 20, 'reviewing' => 10, 'criteria' => ['c2'], 'replan' => [12, 48, 12],
            'method' => 'reliability',
        ]);
        self::assertSame([48, 12], $set->replan, 'longest first, none twice');
        self::assertTrue($set->counts());
        self::assertEquals($set, RoundSettings::fromArray($set->toArray()));
    }

    /**
     * @return iterable<string, array{array<string, mixed>, list<string>}>
     */
    public static function faulty(): iterable
    {
        yield 'nothing asked for' => [['peers' => false], ['peers']];
        yield 'a share without peers' => [['peers' => false, 'self' => true, 'share' => 10], ['share']];
        yield 'a share of drafts' => [['on' => 'draft', 'share' => 10], ['share']];
        yield 'more than all of the mark' => [['share' => 60, 'reviewing' => 50], ['reviewing']];
        yield 'no review' => [['each' => 0], ['each']];
        yield 'weights of 99' => [['weights' => ['done' => 99]], ['weights']];
        yield 'a weight below nothing' => [
            ['weights' => ['done' => 110, 'words' => -10]], ['weights', 'weights', 'weights'],
        ];
        yield 'hours that are none' => [['replan' => [0, 24]], ['replan']];
        yield 'a criterion twice' => [['criteria' => ['c1', 'c1']], ['criteria']];
        yield 'a method of one’s own' => [['method' => 'best'], ['method']];
        yield 'a key nobody reads' => [['eahc' => 3], ['eahc']];
        yield 'a line of nothing' => [['trial_pass' => 0], ['trial_pass']];
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  list<string>  $places
     */
    #[DataProvider('faulty')]
    public function test_what_is_wrong_is_named_at_its_place(array $document, array $places): void
    {
        try {
            RoundSettings::fromArray($document);
            self::fail('Taken.');
        } catch (InvalidInput $e) {
            self::assertSame($places, array_map(fn (Fault $fault) => $fault->place, $e->faults));
        }
    }

    public function test_reviewing_is_marked_part_by_part(): void
    {
        $near = [[BigDecimal::of('60'), BigDecimal::of('50')], [BigDecimal::of('55'), BigDecimal::of('75')]]; // 15 away
        $mark = ReviewingMark::of(new ReviewingFacts(4, 3, 2, 9, 6, [2, 1, 0], $near), ReviewingWeights::usual());
        self::assertNotNull($mark);
        // Done 40 × 3/4 = 30, on time 10 × 2/4 = 5, words 20 × 6/9 = 13.33…, useful 15 × 3/6 = 7.5, near 15 × (25 −
        // 15)/20 = 7.5
        self::assertSame('63.3', (string) $mark->mark);
        self::assertSame(
            ['30', '5', '13.3333…', '7.5', '7.5', '63.3'], array_column($mark->working->toArray(), 'result'),
        );
    }

    public function test_what_cannot_be_said_leaves_its_weight_to_the_rest(): void
    {
        // Two ratings are too few, no combined mark is there: done and on time 50 of 70, words 20 of 70.
        $mark = ReviewingMark::of(new ReviewingFacts(2, 2, 2, 4, 4, [2, 2], []), ReviewingWeights::usual());
        self::assertSame('100.0', (string) $mark?->mark);
        self::assertSame(2, count(array_keys(array_column($mark->working->toArray(), 'result'), 'left out', true)));
        $half = ReviewingMark::of(new ReviewingFacts(2, 1, 1, 2, 2, [2, 2], []), ReviewingWeights::usual());
        self::assertSame('64.3', (string) $half?->mark, '(40/2 + 10/2 + 20) × 100/70 = 64.28…');
        self::assertNull(ReviewingMark::of(new ReviewingFacts(0, 0, 0, 0, 0, [], []), ReviewingWeights::usual()));
        $nothing = ReviewingMark::of(new ReviewingFacts(3, 0, 0, 0, 0, [], []), ReviewingWeights::usual());
        self::assertSame('0.0', (string) $nothing?->mark, 'who wrote nothing gains by no part that is left out');
    }

    public function test_nearness_is_full_within_five_and_nothing_from_twenty_five_on(): void
    {
        $share = fn (string $off): string => (string) Nearness::of(
            [[BigDecimal::of('50'), BigDecimal::of('50')->plus($off)]]
        )?->share()->toScale(2);
        self::assertSame(['1.00', '1.00', '0.50', '0.00', '0.00'], array_map($share, ['0', '5', '15', '25', '40']));
        $near = Nearness::of(
            [[BigDecimal::of('50'), BigDecimal::of('58')], [BigDecimal::of('50'), BigDecimal::of('38')]]
        );
        self::assertTrue($near?->reaches(10) && $near->reaches(null) && ! $near->reaches(9));
        self::assertNull(Nearness::of([]));
    }

    public function test_peers_and_reviewing_join_the_settled_mark_exactly(): void
    {
        $rules = new MarkRules(joined: [
            new JoinedMark('Peers’ mark', 20, BigDecimal::of('61.3')),
            new JoinedMark('For reviewing', 10, BigDecimal::of('90')),
        ]);
        [$mark, $working] = $rules->apply(BigRational::of('58.25'), new Working([]), Lateness::none(), new Length(0));
        // 0.8 × 58.25 + 0.2 × 61.3 = 58.86; 0.9 × 58.86 + 9 = 61.974
        self::assertTrue($mark->isEqualTo('61.974'));
        self::assertSame(
            [
                ['Peers’ mark', '80 % of 58.25 and 20 % of 61.3', '58.86'],
                ['For reviewing', '90 % of 58.86 and 10 % of 90', '61.974'],
            ],
            array_map(fn (array $line) => array_values($line), $working->toArray()),
        );
        [$alone, $said] = (new MarkRules(joined: [new JoinedMark('Peers’ mark', 20, null)]))->apply(
            BigRational::of('58.25'), new Working([]), Lateness::none(), new Length(0),
        );
        self::assertTrue($alone->isEqualTo('58.25'));
        self::assertStringContainsString('stands alone', $said->lines[0]->how);
        [$third] = (new MarkRules(joined: [new JoinedMark('Peers’ mark', 100, BigDecimal::of('0'))]))->apply(
            BigRational::of('1/3'), new Working([]), Lateness::none(), new Length(0),
        );
        self::assertTrue($third->isZero());
    }

    public function test_codes_of_a_round_are_no_script_codes(): void
    {
        self::assertSame('KELP-07', RoundCode::drawn(RoundCode::WORKS, 5, 7));
        self::assertSame(
            [], array_intersect([...RoundCode::WORKS, ...RoundCode::REVIEWERS], \YoungHarbor\Core\ScriptCode::BIRDS),
        );
        $this->expectException(InvalidInput::class);
        RoundCode::drawn(RoundCode::REVIEWERS, 99, 7);
    }
}
