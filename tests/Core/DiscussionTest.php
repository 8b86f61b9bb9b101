<?php

declare(strict_types=1);

namespace Tests\Core;

use DateTimeImmutable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Discussion\Audience;
use YoungHarbor\Core\Discussion\FrozenPiece;
use YoungHarbor\Core\Discussion\FrozenWork;
use YoungHarbor\Core\Discussion\Participation;
use YoungHarbor\Core\Discussion\Settings;
use YoungHarbor\Core\Document\Document;
use YoungHarbor\Core\Document\Html;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Document\Node;
use YoungHarbor\Core\Document\NodeKind;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Names\Mask;
use YoungHarbor\Core\Names\Roll;

/**
 * What a discussion asks and counts, what is frozen of it, and that nobody of it is named in what others read.
 */
final class DiscussionTest extends TestCase
{
    private const PEOPLE = [
        ['name' => 'Priya Raman', 'number' => 'M204411', 'email' => 'p.raman@merrow.example', 'shown' => 'TERN-417'],
        ['name' => 'Priya de Souza', 'number' => 'M204412', 'email' => 'pds@merrow.example', 'shown' => 'KNOT-001'],
        ['name' => 'Mark Hill', 'number' => 'M204413', 'email' => 'mark.hill@merrow.example', 'shown' => 'RUFF-002'],
        ['name' => 'Grace Okonkwo', 'number' => null, 'email' => null, 'shown' => 'SKUA-003'],
        ['name' => 'Jürgen Müller', 'number' => null, 'email' => null, 'shown' => 'SHAG-004'],
        ['name' => '李 小龙', 'number' => null, 'email' => null, 'shown' => 'SMEW-005'],
        ['name' => 'Bo Li', 'number' => null, 'email' => null, 'shown' => 'STINT-006'],
    ];

    public function test_settings_are_read_and_written_the_same(): void
    {
        $settings = Settings::fromArray(['audience' => 'section', 'posts' => 2, 'own_first' => true, 'edit_minutes' => 0]);
        self::assertSame(Audience::Section, $settings->audience);
        self::assertEquals($settings, Settings::fromArray($settings->toArray()));
        foreach (
            [['audience' => 'friends'], ['posts' => -1], ['posts' => 51], ['words' => '50'], ['edit_minutes' => 10_081], ['likes' => 1]] as $wrong
        ) {
            try {
                Settings::fromArray($wrong);
                self::fail((string) json_encode($wrong));
            } catch (InvalidInput $e) {
                self::assertSame(array_key_first($wrong), $e->faults[0]->place);
            }
        }
    }

    public function test_a_piece_shorter_than_asked_is_there_and_does_not_count_among_those_asked_for(): void
    {
        $asked = Settings::fromArray(['posts' => 1, 'replies' => 2, 'words' => 30]);
        $piece = fn (
            bool $reply, int $words, string $at
        ): array => ['reply' => $reply, 'words' => $words, 'at' => new DateTimeImmutable($at)];
        $none = Participation::of([], $asked);
        self::assertNull($none->first);
        self::assertSame(['posts' => 1, 'replies' => 2], $none->missing($asked));
        $some = Participation::of([
            $piece(true, 30, '2026-11-02 10:00'), $piece(false, 29, '2026-11-01 10:00'), $piece(true, 31, '2026-11-03 10:00'),
        ], $asked);
        self::assertSame([0, 2, 1, 90, 3], [$some->posts, $some->replies, $some->short, $some->words, $some->pieces()]);
        self::assertSame('2026-11-01', $some->first?->format('Y-m-d'), 'short or not, it was the first');
        self::assertSame(['posts' => 1, 'replies' => 0], $some->missing($asked));
        self::assertTrue($some->isBelow($asked));
        self::assertFalse(Participation::of([$piece(false, 1, '2026-11-01')], Settings::fromArray(['posts' => 1, 'replies' => 0, 'words' => 0]))
            ->isBelow(Settings::fromArray(['posts' => 1, 'replies' => 0, 'words' => 0])));
    }

    public function test_what_is_frozen_is_read_as_it_was_written(): void
    {
        $work = new FrozenWork([
            new FrozenPiece('a', false, 'Dues', 'Who **pays**?', '<p>Who <strong>pays</strong>?</p>', null, null, [
                ['who' => 'TERN-417', 'text' => 'The wharf.'],
            ], [['name' => '', 'description' => 'a lamp', 'sha256' => str_repeat('0', 64)]]),
            new FrozenPiece('b', true, 'Dues', 'No.', '<p>No.</p>', 'rude', ['who' => 'staff', 'text' => 'Why?'], [], []),
        ], ['posts' => 1, 'replies' => 1, 'short' => 2, 'words' => 3, 'received' => 1]);
        self::assertEquals($work, FrozenWork::fromJson($work->toJson()));
        self::assertSame($work->toJson(), FrozenWork::fromJson($work->toJson())->toJson(), 'to the byte: its sum is sealed');
        foreach (['', '[]', '{"form":"young-harbor-posts","version":2}', str_replace('"reply"', '"vote"', $work->toJson())] as $other) {
            try {
                FrozenWork::fromJson($other);
                self::fail($other);
            } catch (InvalidInput) {
                self::assertTrue(true);
            }
        }
    }

    /**
     * Invented sentences; what takes the place of a name says who it is, so that the talk can still be followed.
     *
     * @return iterable<array{string, string}>
     */
    public static function sentences(): iterable
    {
        yield ['Priya Raman said so, and raman too', 'TERN-417 said so, and TERN-417 too'];
        yield ['I agree with Priya about tolls.', 'I agree with '.Mask::SHOWN.' about tolls.'];
        yield ['Thanks mark! The Mark of the mill. Mark said it. On the Hill road, I asked Mark Hill.', 'Thanks RUFF-002! The Mark of the mill. RUFF-002 said it. On the Hill road, I asked RUFF-002.'];
        yield ['hi grace, juergen mueller was right; Müller (1987) is a source', 'hi SKUA-003, SHAG-004 was right; Müller (1987) is a source'];
        yield ['Grace and favour; the grace period. As Grace wrote.', 'Grace and favour; the grace period. As SKUA-003 wrote.'];
        yield ['李小龙 说得对', 'SMEW-005 说得对'];
        yield ['P r i y a  R a m a n, M204411, 204412, p.raman@merrow.example', 'TERN-417, TERN-417, KNOT-001, TERN-417'];
        yield ['see ~okonkwo and @bo', 'see ~SKUA-003 and @STINT-006'];
        yield ["Pri\u{200B}ya R\u{0430}man", 'TERN-417'];
        yield ['The salt pans of the estuary', 'The salt pans of the estuary'];
    }

    #[DataProvider('sentences')]
    public function test_nobody_is_named(string $said, string $shown): void
    {
        self::assertSame($shown, (new Roll(self::PEOPLE))->hide($said));
    }

    public function test_formatting_and_addresses_hide_no_name(): void
    {
        $document = Document::of([
            Node::of(NodeKind::Paragraph, ['As Pri', Node::of(NodeKind::Strong, ['ya']), ' Raman says, ']),
            Node::of(NodeKind::Paragraph, [Node::link('https://a.example/okonkwo/dues', ['here']), Node::link('https://a.example/x', ['there'])]),
        ]);
        $masked = Masking::ofRoll($document, new Roll(self::PEOPLE));
        self::assertSame('<p>As TERN-417<strong></strong> says, </p><p>here<a href="https://a.example/x" target="_blank" rel="noopener noreferrer nofollow ugc">there</a></p>', Html::ofPost($masked));
        self::assertNotSame(
            (new Roll(self::PEOPLE))->fingerprint(), (new Roll(array_slice(self::PEOPLE, 1)))->fingerprint(),
        );
    }

    public function test_what_stands_around_the_words_is_read_and_counted_nowhere(): void
    {
        $document = Document::of([
            Node::of(NodeKind::Around, [Node::of(NodeKind::Paragraph, ['Answers TERN-417: “The wharf.”'])]),
            Node::of(NodeKind::Paragraph, ['No, the ships.']),
        ]);
        self::assertSame('No, the ships.', $document->text());
        self::assertSame('<aside data-around=""><p>Answers TERN-417: “The wharf.”</p></aside><p>No, the ships.</p>', Html::ofText($document));
    }
}
