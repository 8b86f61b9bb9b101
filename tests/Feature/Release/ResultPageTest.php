<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Mark\SyncDesk;
use App\Actions\Release\ReleaseResults;
use App\Documents\ScriptText;
use App\Documents\TaggedPdf;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\Result;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Release\Settings;

/**
 * What a student finds on their result: their text with comments at their places, what to read first, all as one PDF.
 */
final class ResultPageTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function note(Mark $mark, string $words, string $body, array $more = []): array
    {
        $start = (int) mb_strpos(ScriptText::of($mark->handin), $words);

        return ['key' => 'note:'.Str::uuid()->toString(), 'was' => null, 'now' => [
            'body' => $body, 'kind' => 'remark', 'criterion' => null,
            'anchor' => ['exact' => $words, 'start' => $start, 'end' => $start + mb_strlen($words)], ...$more,
        ]];
    }

    private function commented(): Result
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $words = preg_split('/\s+/', ScriptText::of($mark->handin)) ?: [];
        app(SyncDesk::class)($mark, [
            $this->note($mark, "{$words[1]} {$words[2]}", 'Say <b>who</b> paid, & why.', ['criterion' => 'c1']),
            $this->note($mark, $words[4], 'Well put.', ['kind' => 'praise', 'starred' => true]),
        ]);
        $this->finishBoth($this->script($assignment));
        app(ReleaseResults::class)($assignment, null, $this->coordinator);

        return Result::query()->sole();
    }

    public function test_the_text_stands_there_with_the_comments_at_their_places_and_as_a_list(): void
    {
        $result = $this->commented();
        $html = (string) $this->actingAs($this->students[0])->get(route('results.show', $result))->assertOk()
            ->assertSee('Start here')->assertSee('Well put.')->assertSee('Say <b>who</b> paid, & why.')
            ->assertSee('All comments as a list')->getContent();
        self::assertStringNotContainsString('<b>who</b>', $html, 'what markers write is text');
        self::assertMatchesRegularExpression('/<mark class="placed remark">[^<]+<\/mark><a class="place-number" id="place-1" href="#comment-1" aria-label="comment 1, [^"]+">1<\/a>/', $html);
        self::assertSame(1, substr_count($html, 'id="comment-1"'));
        $article = substr($html, (int) strpos($html, '<article'));
        $article = substr($article, 0, (int) strpos($article, '</article>'));
        self::assertStringContainsString('Well put.', $article);
    }

    public function test_three_comments_at_most_are_to_be_read_first(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $word = (preg_split('/\s+/', ScriptText::of($mark->handin)) ?: [])[3];
        for ($n = 1; $n <= 3; $n++) {
            app(SyncDesk::class)($mark, [$this->note($mark, $word, "Note {$n}.", ['starred' => true])]);
        }
        $fourth = $this->note($mark, $word, 'Note 4.', ['starred' => true]);
        $outcome = app(SyncDesk::class)($mark, [$fourth])['outcomes'][$fourth['key']];
        self::assertSame('refused', $outcome['state']);
        self::assertStringContainsString('3 are at most', (string) $outcome['why']);
        $first = MarkComment::query()->firstOrFail();
        app(SyncDesk::class)($mark, [[
            'key' => "note:{$first->public_id}", 'was' => $first->content(), 'now' => ['starred' => false] + $first->content(),
        ]]);
        self::assertSame('saved', app(SyncDesk::class)($mark, [$fourth])['outcomes'][$fourth['key']]['state']);
    }

    /** The same words and numbers as the page, read back from the PDF; tagged where Chromium is installed. */
    public function test_the_pdf_holds_what_the_page_holds(): void
    {
        $result = $this->commented();
        foreach ([true, false] as $tagged) {
            config(['harbor.tagged_pdf' => $tagged]);
            Storage::deleteDirectory('results');
            $answer = $this->actingAs($this->students[0])->get(route('results.pdf', $result))->assertOk();
            $file = tempnam(sys_get_temp_dir(), 'pdf').'.pdf';
            file_put_contents($file, (string) $answer->getContent());
            $read = new Process(['pdftotext', '-raw', $file, '-']);
            $read->mustRun();
            $text = Str::squish($read->getOutput());
            foreach ([
                $this->students[0]->name, '50.0', 'Lower second', 'the mean of the two marks', 'Well put.',
                'Say <b>who</b> paid, & why.', 'Comment of the first marker.', 'Argument', 'Answer an objection.',
            ] as $words) {
                self::assertStringContainsString($words, $text, $tagged ? 'tagged' : 'plain');
            }
            $info = new Process(['pdfinfo', $file]);
            $info->mustRun();
            $isTagged = preg_match('/Tagged:\s+yes/', $info->getOutput()) === 1;
            self::assertSame($tagged && TaggedPdf::program() !== null, $isTagged);
            self::assertSame(! $isTagged, str_contains($text, 'holds no marks for screen readers'));
            unlink($file);
        }
        $this->actingAs($this->students[1])->get(route('results.pdf', $result))->assertForbidden();
    }

    public function test_how_all_marks_lie_is_shown_where_it_is_shared_and_never_of_fewer_than_five(): void
    {
        $this->module(2, 5);
        $assignment = $this->released();
        $own = Result::query()->where('script_id', $this->script($assignment)->id)->sole();
        $page = fn () => $this->actingAs($this->students[0])->get(route('results.show', $own))->assertOk();
        $page()->assertDontSee('How all marks lie');
        $assignment->update(['release' => Settings::fromArray(['marks_shared' => true])]);
        $page()->assertSee('How all marks lie')->assertSee('of the 5 results that are out')
            ->assertSeeInOrder(['First', 'Lower second, yours', '5', 'Fail']);
        // A mark that waits says nothing of others' either.
        $shared = $assignment->release;
        $assignment->update(['release' => Settings::fromArray([
            'marks_shared' => true, 'reflection' => ['mark_after' => 'opened'],
        ])]);
        $page()->assertDontSee('How all marks lie');
        $assignment->update(['release' => $shared]);
        $page()->assertSee('How all marks lie');
        DB::table('results')->where('script_id', $this->script($assignment, 4)->id)->delete();
        $page()->assertDontSee('How all marks lie');
    }
}
