<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Collect\ChangeMember;
use App\Enums\HandInBy;
use App\Enums\Role;
use App\Imports\RosterReading;
use App\Logbook\LogEvent;
use App\Mail\Welcome;
use App\Models\LogbookLine;
use App\Models\Membership;
use App\Models\RosterImport;
use App\Models\Script;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;

/**
 * Rosters through the pages: choose, say what is what, look, apply, and again.
 */
final class RosterTest extends TestCase
{
    private const CSV = "Student;E-mail;Student no.;Seminar;Team\nAna Petrović;ana@x.example;N1;A;Red\nBao Đặng;bao@x.example;N2;A;Red\nCy d'Arc;cy@x.example;N3;B;Blue\n";

    public function test_a_table_is_looked_at_applied_and_applied_again_without_harm(): void
    {
        Mail::fake();
        $this->module(1, 0);
        $assignment = $this->assignment();
        $import = $this->bring(self::CSV);
        $this->get(route('rosters.show', $import))->assertOk()->assertSee('Would be added')->assertSee('Ana Petrović')
            ->assertSee('All of it, or nothing.');
        self::assertSame(0, Script::query()->count(), 'nothing is changed by looking');
        $this->apply($import)->assertRedirect(route('people.index', $this->module));
        self::assertSame(['Ana Petrović' => 'A', 'Bao Đặng' => 'A', "Cy d'Arc" => 'B'], $this->sections());
        self::assertSame(
            3, Script::query()->where('assignment_id', $assignment->id)->whereNotNull('due_at')->count(),
            'and each has a place in what is open',
        );
        Mail::assertQueued(Welcome::class, 3);
        self::assertFalse(Storage::exists($import->path), 'the file is not kept');
        self::assertSame(
            ['added' => 3, 'changed' => 0, 'left' => 0],
            array_intersect_key(
                LogbookLine::query()->where('event', LogEvent::RosterApplied)->sole()->details,
                ['added' => 1, 'changed' => 1, 'left' => 1],
            ),
        );
        $this->apply($import, 'x')->assertSessionHasErrors('refused');
        $this->get(route('rosters.show', $import))->assertRedirect(route('people.index', $this->module));

        $again = $this->bring(self::CSV);
        $this->get(route('rosters.show', $again))->assertSee('Nothing would change');
        $this->post('/sign-in', ['email' => 'ana@x.example', 'password' => 'x']);
        self::assertSame(4 + 1, User::query()->count());
    }

    public function test_columns_can_be_said_and_faults_are_named_by_line(): void
    {
        $this->module(0, 0);
        $import = $this->bring("a,b,c\nana@x.example,Ana Petrović,A\nbao@x.example,,A\nbao-two,Bao,A\n");
        $this->get(route('rosters.show', $import))->assertOk()->assertSee('Say which column holds the e-mail address');
        $this->put(
            route('rosters.update', $import),
            ['columns' => ['email' => '0', 'name' => '1', 'section' => '2'], 'complete' => '1'],
        )->assertRedirect();
        $this->get(route('rosters.show', $import))->assertSee('Line 3: there is no name')
            ->assertSee('Line 4: “bao-two” is no mail address')->assertSee('nobody is taken to have left')
            ->assertSee('leaving out 2 lines');
        $this->apply($import)->assertSessionHasNoErrors();
        self::assertSame(['Ana Petrović' => 'A'], $this->sections());
        $this->put(route('rosters.update', $this->bring(self::CSV)), ['columns' => ['email' => '1', 'name' => '1']]);
        $this->get(
            route('rosters.show', RosterImport::query()->latest('id')->firstOrFail())
        )->assertSee('are two columns swapped?');
    }

    public function test_who_is_not_in_a_whole_roster_has_left_and_comes_back_with_the_next(): void
    {
        $this->module(0, 0);
        $assignment = $this->assignment();
        $this->apply($this->bring(self::CSV));
        $without = $this->bring(str_replace("Cy d'Arc;cy@x.example;N3;B;Blue\n", '', self::CSV), ['complete' => '1']);
        $this->get(route('rosters.show', $without))->assertSee('Would be noted as left')
            ->assertSee('Cy d&#039;Arc', false);
        $this->apply($without)->assertSessionHasNoErrors();
        $cy = User::query()->where('email', 'cy@x.example')->sole();
        self::assertNotNull(Membership::query()->where('user_id', $cy->id)->sole()->left_at);
        $script = Script::query()->where('assignment_id', $assignment->id)->where('student_id', $cy->id)->sole();
        self::assertNotNull($script->left_at);
        $back = $this->bring(self::CSV);
        $this->get(route('rosters.show', $back))->assertSee('Would be back');
        $this->apply($back);
        self::assertNull($script->refresh()->left_at, 'to the same place');
    }

    public function test_groups_come_with_it_for_the_assignment_chosen(): void
    {
        $this->module(0, 1);
        $assignment = $this->assignment(['handin_by' => HandInBy::GroupOneMark]);
        $import = $this->bring(self::CSV, ['groups' => $assignment->public_id]);
        $this->apply($import)->assertSessionHasNoErrors();
        $groups = Script::query()->where('assignment_id', $assignment->id)->with('student')->get()
            ->mapWithKeys(fn (Script $script) => [$script->student->email => $script->group_name])->all();
        self::assertEquals(
            ['ana@x.example' => 'Red', 'bao@x.example' => 'Red', 'cy@x.example' => 'Blue'], array_filter($groups),
        );
    }

    public function test_a_table_that_says_nothing_of_sections_changes_none(): void
    {
        $this->module(0, 0);
        $this->apply($this->bring(self::CSV));
        $import = $this->bring("Name,Mail,Team\nAna Petrović,ana@x.example,Red\n");
        $this->get(route('rosters.show', $import))->assertSee('Nothing would change');
        $empty = $this->bring("Name,Mail,Section\nAna Petrović,ana@x.example,\n");
        $this->get(route('rosters.show', $empty))->assertSee('section: A → none');
        $gone = $this->bring("Name,Mail\nBao Đặng,bao@x.example\nCy d'Arc,cy@x.example\n", ['complete' => '1']);
        $this->apply($gone);
        $back = $this->bring("Name,Mail\nAna Petrović,ana@x.example\n");
        $this->apply($back)->assertSessionHasNoErrors();
        self::assertSame('A', $this->sections()['Ana Petrović'], 'back where she was');
    }

    public function test_what_changed_since_it_was_looked_at_is_not_applied_blindly(): void
    {
        $this->module(0, 0);
        $import = $this->bring(self::CSV);
        $seen = $this->sum($import);
        User::factory()->create(['email' => 'ana@x.example', 'name' => 'Ana Someone-Else']);
        $this->apply($import, $seen)->assertSessionHasErrors(
            [
                'refused' => 'Nothing was changed: the module changed since you looked. Look at the roster again below, and apply it then.',
            ]
        );
        self::assertSame([], $this->sections());
    }

    public function test_accounts_in_use_keep_their_names_and_other_modules_people_are_known(): void
    {
        $this->module(0, 0);
        $known = User::factory()->create(['email' => 'ana@x.example', 'name' => 'Ana Own-Name', 'number' => null]);
        $waiting = User::factory()->create(
            ['email' => 'bao@x.example', 'name' => 'Old', 'number' => 'N2', 'joined_at' => null]
        );
        Membership::factory()->create(
            ['module_id' => $this->module->id, 'user_id' => $waiting->id, 'role' => Role::Student]
        );
        $import = $this->bring(self::CSV);
        $this->get(route('rosters.show', $import))->assertSee('has an account')
            ->assertSee('left as it is: name: Ana Own-Name')->assertSee('name: Old → Bao Đặng');
        $this->apply($import)->assertSessionHasNoErrors();
        self::assertSame(['Ana Own-Name', 'Bao Đặng'], [$known->refresh()->name, $waiting->refresh()->name]);
        self::assertSame('A', Membership::query()->where('user_id', $waiting->id)->value('section'));
    }

    public function test_one_roster_goes_out_and_comes_in_again_as_it_was(): void
    {
        $this->module(2, 3);
        $this->member(Role::Examiner);
        Membership::query()->where('user_id', $this->students[0]->id)->update(['section' => 'A']);
        $this->students[1]->update(['name' => 'Ximena Ortúzar de la Vega', 'roster_id' => 'reg-77']);
        foreach (['oneroster' => 'people.zip', 'csv' => 'people.csv'] as $form => $name) {
            $bytes = (string) $this->actingAs($this->coordinator)->get(route('rosters.export', [$this->module, $form]))
                ->assertOk()->getContent();
            $import = $this->bring($bytes, [], $name);
            if ($form === 'oneroster') {
                self::assertSame('OneRoster', $import->kind);
                $this->put(
                    route('rosters.update', $import),
                    [
                        'classes' => array_map(strval(...), array_keys(app(RosterReading::class)->classes($import))),
                        'complete' => '1',
                    ],
                );
                $this->get(route('rosters.show', $import))->assertSee('Nothing would change')
                    ->assertDontSee('left as it is');
            } else { // a table holds people of one role
                $this->get(route('rosters.show', $import))->assertSee('Nothing would change');
            }
        }
    }

    public function test_what_is_no_roster_is_refused_in_words(): void
    {
        $this->module(0, 0);
        $this->actingAs($this->coordinator);
        foreach ([
            [Files::zip(['users.csv' => 'sourcedId']), 'manifest.csv: it is not in the ZIP'],
            ["\x89PNG\0\0\0", 'neither a table of text'], ['', 'there is no line in it'],
        ] as [$bytes, $why]) {
            $this->post(
                route('rosters.store', $this->module), ['roster' => Files::upload($bytes, 'roster.csv')],
            )->assertSessionHasErrors('roster');
            self::assertStringContainsStringIgnoringCase($why, session('errors')->first('roster'));
        }
        self::assertSame(0, RosterImport::query()->count());
        $import = $this->bring("Name,Mail\nZo\xEB Ng,zoe@x.example\n");
        $this->get(route('rosters.show', $import))->assertSee('it was read as Windows-1252')->assertSee('Zoë Ng');
        Carbon::setTestNow(now()->addHours(25));
        $this->artisan('harbor:sweep')->assertSuccessful();
        self::assertFalse(Storage::exists($import->path), 'names are not kept longer than a day');
        $this->get(route('rosters.show', $import->public_id))->assertNotFound();
    }

    public function test_a_coordinator_who_left_no_longer_sees_it(): void
    {
        $this->module(0, 0);
        $import = $this->bring(self::CSV);
        $other = $this->member(Role::Coordinator);
        app(ChangeMember::class)(
            Membership::query()->where('user_id', $this->coordinator->id)->sole(), null, true, $other,
        );
        $this->actingAs($this->coordinator->fresh() ?? $other)->get(route('rosters.show', $import))->assertForbidden();
    }

    /**
     * @param  array<string, string>  $choices
     */
    public function test_roles_and_candidate_numbers_come_in_and_are_for_coordinators_alone(): void
    {
        Mail::fake();
        $this->module(1, 0);
        $import = $this->bring(
            "Name,E-mail,Student number,Role,Candidate number,Shoe size\nTina Tutor,tina@x.example,,Tutor,,41\nSam Second,sam@x.example,,Second marker,,42\nEve Extern,eve@x.example,,External examiner,,43\nStu Dent,stu@x.example,N9,Student,C-77,44\n"
        );
        $this->get(route('rosters.show', $import))->assertSee('external examiner')->assertSee('candidate C-77')
            ->assertSee('Shoe size');
        $this->apply($import)->assertSessionHasNoErrors();
        $roles = Membership::query()->where('module_id', $this->module->id)->with('user')->get()
            ->mapWithKeys(
                fn (Membership $member) => [$member->user->email => [$member->role, $member->candidate_number]]
            );
        self::assertSame(
            [[Role::Tutor, null], [Role::Tutor, null], [Role::Examiner, null], [Role::Student, 'C-77']],
            [$roles['tina@x.example'], $roles['sam@x.example'], $roles['eve@x.example'], $roles['stu@x.example']],
        );
        $this->get(route('people.index', $this->module))->assertSee('C-77');
        foreach (['tina@x.example', 'eve@x.example', 'stu@x.example'] as $other) {
            $this->actingAs(User::query()->where('email', $other)->sole())->get(route('people.index', $this->module))
                ->assertForbidden();
            $this->get('/')->assertDontSee('C-77');
        }
    }

    private function bring(string $bytes, array $choices = [], string $name = 'roster.csv'): RosterImport
    {
        $this->actingAs($this->coordinator)
            ->post(
                route('rosters.store', $this->module),
                ['roster' => new UploadedFile($this->path($bytes), $name, null, null, true)],
            )
            ->assertSessionHasNoErrors();
        $import = RosterImport::query()->latest('id')->firstOrFail();
        if ($choices !== []) {
            $this->put(
                route('rosters.update', $import),
                ['columns' => array_map(strval(...), $import->choices['columns'] ?? []), ...$choices],
            )->assertSessionHasNoErrors();
        }

        return $import->refresh();
    }

    private function apply(RosterImport $import, ?string $seen = null): \Illuminate\Testing\TestResponse
    {
        return $this->post(route('rosters.apply', $import), ['seen' => $seen ?? $this->sum($import)]);
    }

    private function sum(RosterImport $import): string
    {
        preg_match(
            '/name="seen" value="([0-9a-f]{64})"/', (string) $this->get(route('rosters.show', $import))->getContent(),
            $found,
        );

        return $found[1] ?? '';
    }

    private function path(string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'roster');
        file_put_contents($path, $bytes);

        return $path;
    }

    /**
     * @return array<string, string|null> sections by name
     */
    private function sections(): array
    {
        return Membership::query()->where('module_id', $this->module->id)->where('role', Role::Student)
            ->whereNull('left_at')->with('user')->get()->sortBy('user.name')
            ->mapWithKeys(fn (Membership $member) => [$member->user->name => $member->section])->all();
    }
}
