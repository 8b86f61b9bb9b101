<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\ConversationFinding;
use App\Enums\HandInBy;
use App\Enums\RubricState;
use App\Extraction\FileKind;
use Illuminate\Support\Facades\Lang;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use YoungHarbor\Core\Allocation\MarkerObstacle;
use YoungHarbor\Core\Allocation\Pace;
use YoungHarbor\Core\Allocation\WhyUnplaced;
use YoungHarbor\Core\Fairway\StageProgress;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Marking\WhyOpen;
use YoungHarbor\Core\Marks\BoundaryRule;
use YoungHarbor\Core\Overlap\Attention;
use YoungHarbor\Core\Release\ReleaseObstacle;
use YoungHarbor\Core\Screening\ReportSeen;
use YoungHarbor\Core\Text\CommentKind;
use YoungHarbor\Core\Writing\Signal;

/**
 * Keys are stored, words are shown: each key of these enums has its words, and none of them is words itself.
 */
final class WordsTest extends TestCase
{
    /**
     * @param  class-string<\BackedEnum>  $enum
     */
    #[DataProvider('shown')]
    public function test_every_key_has_its_words(string $enum, string $place): void
    {
        foreach ($enum::cases() as $case) {
            if ($case === Attention::None) { // nothing is said of it
                continue;
            }
            self::assertMatchesRegularExpression('/\A[a-z0-9.-]+\z/', (string) $case->value);
            self::assertTrue(Lang::has("{$place}.{$case->value}"), "{$place}.{$case->value}");
        }
    }

    public function test_every_kind_of_comment_has_its_looks_in_the_text_beside_it_and_on_a_page(): void
    {
        $css = (string) file_get_contents(resource_path('css/app.css'));
        $looks = [];
        foreach (CommentKind::keys() as $kind) {
            self::assertStringContainsString("::highlight(note-{$kind})", $css);
            preg_match("/\.kind-sample\.{$kind} { ([^}]+) }/", $css, $look);
            $looks[] = preg_replace('/\d+px|var\([^)]*\)/', '', $look[1] ?? self::fail("{$kind} has no looks"));
        }
        self::assertSame($looks, array_unique($looks), 'told apart without colour');
    }

    /**
     * @return iterable<string, array{class-string<\BackedEnum>, string}>
     */
    public static function shown(): iterable
    {
        foreach ([
            'plan.handin_by' => HandInBy::class, 'plan.rubric_state' => RubricState::class,
            'plan.boundary' => BoundaryRule::class, 'plan.rule' => RuleName::class, 'plan.rule_choice' => RuleName::class,
            'screen.seen' => ReportSeen::class, 'screen.attention' => Attention::class,
            'screen.signal' => Signal::class,
            'mark.standing' => Standing::class, 'mark.seat' => Seat::class, 'mark.pace' => Pace::class,
            'mark.progress' => StageProgress::class,
            'mark.comment_kind' => CommentKind::class,
            'screen.finding' => ConversationFinding::class, 'screen.finding_short' => ConversationFinding::class,
            'screen.finding_to_student' => ConversationFinding::class, 'collect.file_kind' => FileKind::class,
            'share-out.unplaced' => WhyUnplaced::class, 'share-out.keeps_away' => MarkerObstacle::class,
            'share-out.keeps_all_away' => MarkerObstacle::class,
            'moderate.why_open' => WhyOpen::class, 'release.obstacle' => ReleaseObstacle::class,
        ] as $place => $enum) {
            yield $place => [$enum, $place];
        }
    }
}
