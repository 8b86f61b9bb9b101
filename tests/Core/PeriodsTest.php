<?php

declare(strict_types=1);

namespace Tests\Core;

use Carbon\CarbonImmutable;
use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Keeping\Periods;

/**
 * For how long what is kept.
 */
final class PeriodsTest extends TestCase
{
    public function test_a_month_later_is_as_people_count(): void
    {
        $end = fn (string $from, int $months): string => (string) Periods::fromArray(['texts' => $months])
            ->endOf(Kind::Texts, new DateTimeImmutable($from))?->format('Y-m-d H:i');
        self::assertSame('2028-01-20 00:00', $end('2027-01-20 13:37', 12));
        self::assertSame('2027-02-28 00:00', $end('2026-08-31 23:59', 6));
        self::assertSame('2028-02-29 00:00', $end('2027-12-31', 2));
        self::assertSame('2029-02-28 00:00', $end('2028-02-29', 12));
        self::assertSame('2027-01-31 00:00', $end('2026-12-31', 1));
    }

    /** Against Carbon, a general library for dates, over some years of days. */
    public function test_days_agree_with_a_general_library(): void
    {
        $zone = new DateTimeZone('Europe/Dublin');
        for ($day = 0; $day < 1500; $day += 7) {
            $from = (new DateTimeImmutable('2024-01-01 18:20', $zone))->modify("+{$day} days");
            foreach ([1, 6, 12, 18, 600] as $months) {
                $periods = Periods::fromArray(['marks' => $months]);
                $carbon = CarbonImmutable::instance($from)->startOfDay();
                self::assertSame(
                    $carbon->addMonthsNoOverflow($months)->format('c'), $periods->endOf(Kind::Marks, $from)?->format('c'),
                );
                self::assertSame(
                    $carbon->subMonthsNoOverflow($months)->format('c'),
                    $periods->keptSince(Kind::Marks, $from)?->format('c'),
                );
            }
        }
    }

    public function test_without_a_period_nothing_ends_and_a_module_has_its_own_in_its_place(): void
    {
        $institution = Periods::fromArray(['texts' => 12, 'marks' => 72, 'logbook' => 84]);
        $from = new DateTimeImmutable('2026-06-01');
        self::assertNull($institution->endOf(Kind::Screening, $from));
        self::assertNull($institution->keptSince(Kind::Screening, $from));
        $module = $institution->with(Periods::fromArray(['texts' => 24, 'screening' => 6, 'logbook' => 1]));
        self::assertSame(['texts' => 24, 'marks' => 72, 'logbook' => 84, 'screening' => 6], $module->toArray());
        self::assertTrue(Periods::usual()->isEmpty());
    }

    public function test_nothing_is_kept_for_longer_than_the_marks_it_goes_with(): void
    {
        $long = Periods::fromArray(['texts' => 13, 'recordings' => 12, 'conversations' => 24, 'marks' => 12, 'mail' => 50]);
        self::assertSame([Kind::Texts, Kind::Conversations], $long->longerThanMarks());
        self::assertSame([], Periods::fromArray(['texts' => 600])->longerThanMarks());
    }

    public function test_faults_are_named(): void
    {
        foreach ([['texts' => 0], ['texts' => 601], ['texts' => 'a year'], ['essays' => 5]] as $document) {
            try {
                Periods::fromArray($document);
                self::fail(json_encode($document, JSON_THROW_ON_ERROR));
            } catch (InvalidInput $e) {
                self::assertStringContainsString((string) array_key_first($document), $e->getMessage());
            }
        }
    }
}
