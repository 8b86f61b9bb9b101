<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Mark\FinishMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Release\ReleaseResults;
use App\Mail\NoticeMail;
use App\Models\Notice;
use App\Models\Result;
use App\Models\Script;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

final class ResultDocumentTest extends TestCase
{
    private function releasedScript(): Script
    {
        $this->module(2, 1);
        $assignment = $this->sharedOut($this->assignment());
        $script = $this->script($assignment);
        foreach ([Seat::First, Seat::Second] as $part) {
            $mark = $this->markOf($script, $part);
            app(SaveChoice::class)($mark, 'c1', ['between' => ['l2', 'l3'], 'points' => '7.5']);
            app(SaveChoice::class)($mark, 'c2', ['level' => 'l3', 'comment' => 'Well chosen.']);
            app(FinishMark::class)($mark);
        }
        app(ReleaseResults::class)($assignment, null, $this->coordinator);

        return $script;
    }

    public function test_each_criterion_stands_with_all_its_levels_points_and_comment(): void
    {
        $document = Result::query()->where('script_id', $this->releasedScript()->id)->sole()->document;

        // 60 × 7.5/10 + 40 × 10/10 = 85: a First.
        self::assertSame(['85.0', '100', 'First', '70 to 100', true, false], [
            $document['mark'], $document['out_of'], $document['band'], $document['band_span'], $document['two_marks'],
            $document['late'],
        ]);
        [$argument, $evidence] = $document['criteria'];
        self::assertSame(['Argument', '60', '7.5', '10', true], [
            $argument['title'], $argument['weight'], $argument['points'], $argument['max'], $argument['between'],
        ]);
        self::assertSame(
            [false, true, false], array_column($argument['levels'], 'reached'),
            'a point between two levels has reached the lower',
        );
        self::assertSame([false, false, true], array_column($evidence['levels'], 'reached'));
        self::assertSame('Well chosen.', $evidence['comment']);
        self::assertSame(['45', '40', '85.0 of 100'], array_column($document['first_working'], 'result'));
    }

    public function test_a_later_change_of_rubric_people_or_marks_does_not_reach_it(): void
    {
        $script = $this->releasedScript();
        $result = Result::query()->where('script_id', $script->id)->sole();
        $before = $result->document;
        $script->assignment->rubricVersion?->rubric->update(['title' => 'Renamed']);
        $script->marks()->update(['general_comment' => 'Tampered with.']);
        self::assertSame($before, $result->refresh()->document);
        $this->actingAs($this->students[0])->get(route('results.show', $result))
            ->assertSee('Yours: between this level and the next.')
            ->assertSee('7.5')
            ->assertDontSee('Tampered');
    }

    public function test_a_result_is_mailed_without_the_mark_in_it_and_with_its_address(): void
    {
        $script = $this->releasedScript();
        $result = Result::query()->where('script_id', $script->id)->sole();
        $mail = (new NoticeMail(Notice::query()->where('once', "result:{$result->public_id}")->sole()))->render();
        self::assertStringContainsString(route('results.show', $result), $mail);
        self::assertStringContainsString($this->students[0]->name, $mail);
        self::assertDoesNotMatchRegularExpression('/(?<![\da-f])85(?![\da-f])/', str_replace($result->public_id, '', $mail));
        self::assertStringNotContainsString($script->code, $mail);
    }
}
