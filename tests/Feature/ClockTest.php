<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Imports\PeopleLines;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class ClockTest extends TestCase
{
    public function test_times_are_shown_in_the_institutions_zone_with_the_weekday(): void
    {
        self::assertSame('Sat 4 Jul 2026 13:00', LocalTime::shown(Carbon::parse('2026-07-04 12:00', 'UTC')));
        self::assertSame('Fri 4 Dec 2026 12:00', LocalTime::shown(Carbon::parse('2026-12-04 12:00', 'UTC')));
        self::assertSame('not set', LocalTime::shown(null));
        config(['harbor.timezone' => 'Asia/Tokyo']);
        self::assertSame('Fri 4 Dec 2026 21:00', LocalTime::shown(Carbon::parse('2026-12-04 12:00', 'UTC')));
    }

    /** Over both changes of the clocks in London in 2026, 29 March and 25 October, and on a leap day. */
    #[DataProvider('written')]
    public function test_what_is_written_in_a_field_is_understood(string $written, string $utc): void
    {
        self::assertSame($utc, LocalTime::parse($written)?->format('Y-m-d H:i'));
        self::assertSame($written, LocalTime::field(LocalTime::parse($written)));
    }

    /**
     * @return list<array{string, string}>
     */
    public static function written(): array
    {
        return [
            ['2026-03-29T00:59', '2026-03-29 00:59'], ['2026-03-29T02:00', '2026-03-29 01:00'],
            ['2026-10-25T00:59', '2026-10-24 23:59'], ['2026-10-25T02:00', '2026-10-25 02:00'],
            ['2028-02-29T12:00', '2028-02-29 12:00'], ['2026-06-01T00:00', '2026-05-31 23:00'],
        ];
    }

    public function test_times_that_do_not_exist_are_refused(): void
    {
        foreach (['2026-03-29T01:30', '2026-02-30T12:00', 'tomorrow', '2026-13-01T00:00'] as $written) {
            try {
                LocalTime::parse($written);
                self::fail("{$written} was taken.");
            } catch (InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
        self::assertNull(LocalTime::parse(''));
    }

    public function test_people_are_read_from_commas_semicolons_and_tabs(): void
    {
        $people = PeopleLines::read(
            "Ólafur Brandsson, Olafur@Merrow.example, M1, A\r\n\r\nO’Neil;neil@merrow.example;;B\nNg\tng@merrow.example"
        );
        self::assertSame([
            ['name' => 'Ólafur Brandsson', 'email' => 'olafur@merrow.example', 'number' => 'M1', 'section' => 'A'],
            ['name' => 'O’Neil', 'email' => 'neil@merrow.example', 'number' => null, 'section' => 'B'],
            ['name' => 'Ng', 'email' => 'ng@merrow.example', 'number' => null, 'section' => null],
        ], $people);
        $this->expectException(ValidationException::class);
        PeopleLines::read("A, a@merrow.example, M1\nB, b@merrow.example, M1");
    }
}
