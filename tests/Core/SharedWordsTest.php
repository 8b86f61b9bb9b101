<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Release\SharedWords;
use YoungHarbor\Core\Release\SheetSettings;

/**
 * The words that many reflections have in common, and what a reflection without a hand-in asks.
 */
final class SharedWordsTest extends TestCase
{
    public function test_words_are_counted_by_people_and_those_of_the_prompts_say_nothing(): void
    {
        $texts = [
            'The ledger, the ledger, and the harbour. It surprised me.', 'A Ledger of the harbour would have been better.',
            'My ledger! What surprised me is the harbour.', 'Only a map of the harbour.',
        ];
        self::assertSame(
            ['harbour' => 4, 'ledger' => 3], SharedWords::of($texts, ['What surprised you?'], 10),
        );
        self::assertSame(['harbour' => 4], SharedWords::of($texts, [], 1));
        self::assertSame([], SharedWords::of(array_slice($texts, 0, 2), [], 10), 'two are too few');
        self::assertSame([], SharedWords::of([], [], 10));
    }

    public function test_settings_say_what_is_wrong(): void
    {
        $usual = SheetSettings::usual();
        self::assertEquals($usual, SheetSettings::fromArray($usual->toArray()));
        foreach ([['prompts' => []], ['prompts' => array_map(strval(...), range(1, 7))], ['words' => 1001], ['x' => 1]] as $wrong) {
            try {
                SheetSettings::fromArray($wrong);
                self::fail('taken: '.json_encode($wrong));
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->faults);
            }
        }
    }
}
