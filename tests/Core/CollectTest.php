<?php

declare(strict_types=1);

namespace Tests\Core;

use DateTimeImmutable;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Collect\Arrivals;
use YoungHarbor\Core\Collect\Attempts;
use YoungHarbor\Core\Collect\Declaration;
use YoungHarbor\Core\Collect\Placeholders;
use YoungHarbor\Core\Collect\Receipt;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Receipts, declarations, arrivals, and the blanks of messages.
 */
final class CollectTest extends TestCase
{
    private const ID = '0b0e7b1e-7f5a-4f0e-9a52-3b8f0d6c1a22';

    public function test_the_seal_is_hmac_sha_256_over_what_the_receipt_says(): void
    {
        $sum = hash('sha256', 'abc');
        // The SHA-256 of "abc" is the example of FIPS 180-4, appendix B.1.
        self::assertSame('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad', $sum);
        $receipt = new Receipt(self::ID, '2026-11-23T11:59:31Z', '2026-11-23T12:00:04Z', [$sum]);
        self::assertSame(
            hash_hmac('sha256', "receipt\n".self::ID."\n2026-11-23T11:59:31Z\n2026-11-23T12:00:04Z\n{$sum}", 'key'),
            $receipt->seal('key'),
        );
        self::assertTrue($receipt->holds($receipt->seal('key'), 'key'));
        self::assertFalse($receipt->holds($receipt->seal('key'), 'another key'));
    }

    public function test_a_receipt_is_read_from_a_mail_and_whatever_is_changed_shows(): void
    {
        $receipt = new Receipt(
            self::ID, '2026-11-23T11:59:31Z', '2026-11-23T11:59:31Z', [hash('sha256', 'one'), hash('sha256', 'two')],
        );
        $text = $receipt->text($receipt->seal('key'), ['one.docx', 'zwei.pdf']);
        foreach (
            [
                $text, "Dear Hana,\n\n{$text}\nMerrow", '> '.str_replace("\n", "\n> ", $text),
                str_replace("\n", "\r\n", $text),
            ] as $mail
        ) {
            [$read, $seal] = Receipt::parse($mail);
            self::assertTrue($read->holds($seal, 'key'));
            self::assertSame(
                [1, 2, null],
                [
                    $read->place(hash('sha256', 'one')), $read->place(hash('sha256', 'two')),
                    $read->place(hash('sha256', 'three')),
                ],
            );
        }
        foreach (
            [
                str_replace('Received: 2026-11-23T11:59:31', 'Received: 2026-11-23T11:59:30', $text),
                str_replace('Recorded: 2026-11-23T11:59:31', 'Recorded: 2026-11-23T11:59:32', $text),
                str_replace(self::ID, substr(self::ID, 0, -1).'3', $text),
                str_replace(hash('sha256', 'two'), hash('sha256', 'three'), $text),
            ] as $changed
        ) {
            [$read, $seal] = Receipt::parse($changed);
            self::assertFalse($read->holds($seal, 'key'));
        }
        foreach (['no receipt here' => 5, $text.$text => 4] as $bad => $faults) {
            try {
                Receipt::parse((string) $bad);
                self::fail('It was read.');
            } catch (InvalidInput $e) {
                self::assertCount($faults, $e->faults);
            }
        }
    }

    public function test_which_attempt_counts_and_from_when(): void
    {
        $at = fn (string $time) => new DateTimeImmutable("2027-01-12T{$time}Z");
        self::assertSame(
            [true, true, true, false],
            [
                Attempts::newOneCounts(true, $at('13:00'), $at('12:00')),
                Attempts::newOneCounts(false, $at('11:59:59'), $at('12:00')),
                Attempts::newOneCounts(false, $at('12:00'), $at('12:00')),
                Attempts::newOneCounts(false, $at('12:00:01'), $at('12:00')),
            ],
        );
        foreach ([
            ['12:15', '11:59', '11:59', 'its first piece came before the due time'],
            ['12:15:01', '11:59', '12:15:01', 'a quarter of an hour after the due time is too long'],
            ['11:58', '09:00', '11:58', 'in time by itself, so it is called received when it was handed in'],
            ['12:03', '12:01', '12:01', 'late, and no later than it began to arrive'],
            ['12:00', null, '12:00', 'on the second'], ['12:03', null, '12:03', 'nothing was sent ahead'],
            ['12:03', '12:04', '12:03', 'two clocks'],
        ] as [$form, $ahead, $received, $why]) {
            self::assertEquals(
                $at($received), Attempts::received($at($form), $ahead === null ? null : $at($ahead), $at('12:00')),
                $why,
            );
        }
    }

    public function test_a_declaration_asks_for_what_is_needed_and_keeps_questions_with_answers(): void
    {
        $declaration = Declaration::fromArray([
            ['id' => 'own', 'kind' => 'confirm', 'label' => 'My own work.'],
            ['id' => 'tools', 'kind' => 'words', 'label' => 'Tools?'],
            ['id' => 'more', 'kind' => 'words', 'label' => 'Anything else?', 'required' => false],
        ]);
        self::assertSame(
            [
                ['label' => 'My own work.', 'answer' => 'confirmed'],
                ['label' => 'Tools?', 'answer' => 'A spelling check'], ['label' => 'Anything else?', 'answer' => '–'],
            ],
            $declaration->answers(['own' => '1', 'tools' => ' A spelling check ', 'more' => '', 'else' => 'x']),
        );
        try {
            $declaration->answers(['tools' => '  ']);
            self::fail('It was taken.');
        } catch (InvalidInput $e) {
            self::assertSame(['own', 'tools'], array_map(fn (Fault $fault) => $fault->place, $e->faults));
        }
        foreach (
            [
                [['id' => 'a b', 'kind' => 'words', 'label' => 'x']],
                [['id' => 'a', 'kind' => 'vote', 'label' => 'x']], [['id' => 'a', 'kind' => 'words', 'label' => ' ']],
                [['id' => 'a', 'kind' => 'words', 'label' => 'x'], ['id' => 'a', 'kind' => 'words', 'label' => 'y']],
            ] as $bad
        ) {
            try {
                Declaration::fromArray($bad);
                self::fail(json_encode($bad, JSON_THROW_ON_ERROR));
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->faults);
            }
        }
    }

    public function test_arrivals_are_counted_in_bars_that_part_at_the_due_time(): void
    {
        $due = 1_800_000_000;
        $found = Arrivals::of([$due - 7200 => 1, $due - 600 => 2, $due => 4, $due + 1 => 8, $due + 3600 => 16], $due);
        self::assertSame([300, 24, 6], [$found->span, $found->due, $found->lastHour]);
        self::assertSame(31, array_sum($found->bars));
        self::assertSame([1, 4, 8, 16], [$found->bars[0], $found->bars[23], $found->bars[24], $found->bars[36]]);
        $weeks = Arrivals::of([$due - 86400 * 40 => 1, $due + 86400 * 9 => 1], $due);
        self::assertLessThanOrEqual(48, count($weeks->bars));
        self::assertSame(2, array_sum($weeks->bars));
        self::assertSame('2 days', $weeks->spanInWords());
        self::assertSame(1, array_sum(Arrivals::of([$due => 1], $due)->bars));
    }

    public function test_placeholders_are_filled_once_and_unknown_ones_named(): void
    {
        self::assertSame(
            'Dear {due}, until Friday.',
            Placeholders::fill('Dear {name}, until {due}.', ['name' => '{due}', 'due' => 'Friday']),
        );
        Placeholders::check('{name} { } {', ['name', ' ']);
        $this->expectExceptionMessage('{nmae} is not filled in here; there are {name}');
        Placeholders::check('{name} {nmae}', ['name']);
    }
}
