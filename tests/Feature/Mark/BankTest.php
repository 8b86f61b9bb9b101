<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Enums\Role;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Module;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

final class BankTest extends TestCase
{
    private User $tutor;

    protected function setUp(): void
    {
        parent::setUp();
        $this->module();
        $this->tutor = $this->tutors[0];
        $this->actingAs($this->tutor);
    }

    /**
     * @param  array<string, mixed>  $more
     */
    private function keep(array $more = []): BankComment
    {
        $this->postJson(
            route('bank.comments.store'),
            [
                'set' => 'team', 'module' => $this->module->public_id, 'label' => 'Whose account',
                'text' => 'Whose account is this? Name who made it, and for whom.', 'kind' => 'question',
                'criterion' => 'Evidence', ...$more,
            ],
        )->assertOk();

        return BankComment::query()->latest('id')->firstOrFail();
    }

    public function test_the_comment_just_written_is_kept_for_the_team_and_found_at_every_desk_of_it(): void
    {
        $kept = $this->keep();
        self::assertSame([$this->module->id, 'Comments of the team'], [$kept->set->module_id, $kept->set->title]);
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()
            ->assertSee('Name who made it, and for whom.');
        $this->keep();
        self::assertSame(1, BankComment::query()->count(), 'the same words are kept once');
    }

    public function test_personal_sets_and_those_of_other_modules_stay_apart(): void
    {
        $this->keep(['set' => 'own', 'label' => 'Mine alone']);
        $set = BankSet::query()->sole();
        $this->actingAs($this->tutors[1])->get(route('bank.index'))->assertOk()->assertDontSee('Mine alone');
        $this->get(route('bank.export', [$set, 'csv']))->assertForbidden();
        $this->postJson(
            route('bank.comments.store'), ['set' => $set->public_id, 'label' => 'x', 'text' => 'y'],
        )->assertStatus(409);
        $outsider = $this->member(Role::Tutor, Module::factory()->create());
        $this->actingAs($outsider)
            ->postJson(
                route('bank.comments.store'),
                ['set' => 'team', 'module' => $this->module->public_id, 'label' => 'x', 'text' => 'y'],
            )
            ->assertStatus(409);
        $this->actingAs($this->students[0])->get(route('bank.index'))->assertForbidden();
    }

    public function test_two_who_change_one_comment_both_keep_their_words(): void
    {
        $kept = $this->keep();
        $this->put(
            route('bank.comments.update', $kept), ['label' => 'Whose', 'text' => 'Whose?', 'seen' => 1],
        )->assertSessionHasNoErrors();
        $this->put(
            route('bank.comments.update', $kept), ['label' => 'Who', 'text' => 'Who?', 'seen' => 1],
        )->assertSessionHasErrors(
            [
                'text' => 'Someone changed “Whose” while you were at it. It now reads: “Whose?”. Your words are still in the field; save again to put them in its place.',
            ]
        );
        self::assertSame('Whose?', $kept->refresh()->text);
        $this->delete(route('bank.comments.destroy', $kept))->assertRedirect(route('bank.index'));
        self::assertSame(0, BankComment::query()->count());
    }

    public function test_how_often_a_comment_is_used_is_counted_and_what_was_written_stays_when_it_goes(): void
    {
        $kept = $this->keep();
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker)
            ->patchJson(
                route('mark.sync', $mark),
                [
                    'changes' => [
                        [
                            'key' => 'note:'.Str::uuid()->toString(), 'was' => null,
                            'now' => [
                                'body' => $kept->text, 'bank' => $kept->public_id,
                                'anchor' => ['exact' => 'Essay', 'start' => 0, 'end' => 5],
                            ],
                        ],
                    ],
                ],
            )
            ->assertOk();
        $this->post(route('bank.comments.used', $kept))->assertNoContent();
        self::assertSame(2, $kept->refresh()->used);
        $this->delete(route('bank.comments.destroy', $kept));
        self::assertSame($kept->text, $mark->comments()->sole()->body);
    }

    public function test_sets_go_out_and_come_in_again_as_tables_and_as_json(): void
    {
        $this->keep(['text' => "=Two lines,\nwith \"quotes\" — and ü"]);
        $this->keep(['label' => 'Good', 'text' => 'Good.', 'kind' => 'praise', 'criterion' => '']);
        $set = BankSet::query()->sole();
        foreach (['csv', 'json'] as $form) {
            $file = (string) $this->get(route('bank.export', [$set, $form]))->assertOk()->getContent();
            $this->post(route('bank.make'), ['title' => "Again {$form}"]);
            $again = BankSet::query()->where('title', "Again {$form}")->sole();
            $this->post(
                route('bank.import', $again), ['file' => UploadedFile::fake()->createWithContent("set.{$form}", $file)],
            )->assertSessionHas('said', '2 added.');
            $content = fn (BankSet $one): array => $one->comments()->orderBy('label')
                ->get(['label', 'text', 'kind', 'criterion'])->toArray();
            self::assertSame($content($set), $content($again));
            $this->post(
                route('bank.import', $again), ['file' => UploadedFile::fake()->createWithContent("set.{$form}", $file)],
            )->assertSessionHas('said', '0 added, 2 were there already.');
        }
    }

    public function test_a_file_with_faults_adds_nothing_and_names_them(): void
    {
        $this->post(route('bank.make'), ['title' => 'Set', 'module' => $this->module->public_id]);
        $set = BankSet::query()->sole();
        foreach ([
            "Label,Text\nx,y\n" => 'has no column “Comment”', '{"comments":[{"text":""}]}' => 'Comments[0]: is missing',
            '{broken' => 'is not JSON',
            "Label,Comment,Kind\nx,Good.,wonderful\n" => 'Line 2: has the kind “wonderful”; there are remark, praise, fix, question',
            "Label,Comment\n" => 'There is no comment in this file',
        ] as $file => $why) {
            $this->post(
                route('bank.import', $set),
                ['file' => UploadedFile::fake()->createWithContent('a.csv', (string) $file)],
            )->assertSessionHasErrors('file');
            self::assertStringContainsStringIgnoringCase($why, session('errors')->first('file'));
        }
        self::assertSame(0, BankComment::query()->count());
    }
}
