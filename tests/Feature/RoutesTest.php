<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\Role;
use App\Models\Module;
use App\Models\User;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * Walks every registered route as nobody, as each role of the module, and as someone of another module. A new route has
 * to be given its rule here, or the test fails.
 */
final class RoutesTest extends TestCase
{
    use Addresses;

    /** Who may do what. "anyone" is everyone who is signed in; "own" stands for the one it belongs to. */
    private const RULES = [
        'today' => 'anyone', 'account' => 'anyone', 'help' => 'anyone', 'account.theme' => 'anyone',
        'account.password' => 'anyone', 'account.mail' => 'anyone', 'notices.index' => 'anyone',
        'notices.update' => 'anyone', 'notices.show' => 'student', 'sign-out' => 'anyone',
        'second-step' => 'anyone', 'second-step.store' => 'anyone', 'second-step.destroy' => 'anyone',
        'second-step.codes' => 'anyone', 'kept' => 'anyone', 'kept.download' => 'anyone',
        'institution.person.data' => 'admin',
        'institution.erase' => 'admin', 'institution.erase.store' => 'admin', 'institution.hold' => 'admin', 'places.destroy' => 'anyone',
        'institution.people' => 'admin', 'institution.person' => 'admin', 'institution.person.update' => 'admin',
        'institution.person.link' => 'admin', 'institution.person.second-step' => 'admin',
        'institution.person.places' => 'admin', 'institution.person.closed' => 'admin',
        'institution.person.administrator' => 'admin', 'institution.merge' => 'admin',
        'institution.merge.store' => 'admin', 'institution.sign-in' => 'admin',
        'institution.sign-in.update' => 'admin', 'institution.running' => 'admin',
        'institution.running.again' => 'admin', 'institution.running.forget' => 'admin',
        'institution.keeping' => 'admin', 'institution.keeping.update' => 'admin', 'institution.keeping.decide' => 'admin',
        'keeping.module' => 'coordinator admin', 'keeping.module.update' => 'coordinator admin',
        'keeping.module.decide' => 'coordinator admin', 'keeping.take-back' => 'coordinator admin',
        'modules.index' => 'anyone', 'modules.store' => 'admin',
        'modules.show' => 'coordinator tutor examiner student admin',
        'people.index' => 'coordinator admin', 'people.store' => 'coordinator admin',
        'rosters.store' => 'coordinator admin', 'rosters.export' => 'coordinator admin',
        'rosters.show' => 'coordinator admin', 'rosters.update' => 'coordinator admin',
        'rosters.apply' => 'coordinator admin',
        'members.show' => 'coordinator', 'members.update' => 'coordinator', 'members.allowance' => 'coordinator',
        'scripts.extension' => 'coordinator', 'scripts.waiver' => 'coordinator', 'scripts.original' => 'coordinator',
        'closure-days.index' => 'coordinator', 'closure-days.store' => 'coordinator',
        'rubrics.index' => 'coordinator tutor examiner outsider', 'rubrics.store' => 'coordinator outsider',
        'rubrics.import' => 'coordinator outsider', 'rubrics.news' => 'coordinator', 'rubrics.paste' => 'coordinator',
        'rubrics.paste.apply' => 'coordinator',
        'rubrics.try' => 'coordinator tutor examiner', 'rubrics.students' => 'coordinator tutor examiner',
        'rubrics.versions' => 'coordinator tutor examiner', 'rubrics.files' => 'coordinator tutor examiner',
        'rubrics.file' => 'coordinator tutor examiner',
        'rubrics.show' => 'coordinator tutor examiner', 'rubrics.update' => 'coordinator',
        'rubrics.ready' => 'coordinator', 'rubrics.state' => 'coordinator', 'rubrics.copy' => 'coordinator',
        'plan.create' => 'coordinator', 'plan.store' => 'coordinator', 'plan.edit' => 'coordinator',
        'plan.update' => 'coordinator', 'plan.open' => 'coordinator', 'plan.student' => 'coordinator',
        'plan.copy' => 'coordinator', 'templates.store' => 'coordinator', 'templates.destroy' => 'coordinator',
        'templates.show' => 'coordinator tutor examiner student',
        'bands.index' => 'coordinator', 'bands.create' => 'coordinator', 'bands.store' => 'coordinator',
        'bands.edit' => 'coordinator', 'bands.update' => 'coordinator',
        'plan.rubric' => 'coordinator', 'plan.rubric.update' => 'coordinator',
        'assignments.show' => 'coordinator tutor examiner student',
        'collect.index' => 'coordinator', 'collect.csv' => 'coordinator', 'collect.arrivals' => 'coordinator',
        'collect.zip' => 'coordinator', 'messages.create' => 'coordinator', 'messages.store' => 'coordinator',
        'uploads.store' => 'student', 'uploads.update' => 'student', 'typed.update' => 'student',
        'typed.begin' => 'student', 'receipts.text' => 'student', 'receipts.choose' => 'student',
        'mark.zip' => 'coordinator tutor', 'mark.file' => 'tutor', 'groups.index' => 'coordinator',
        'groups.store' => 'coordinator', 'groups.draw' => 'coordinator', 'hand-in.show' => 'student',
        'hand-in.store' => 'student', 'drafts.store' => 'student', 'drafts.show' => 'student',
        'receipts.show' => 'student', 'receipts.file' => 'student',
        'screen.index' => 'coordinator', 'screen.rerun' => 'coordinator', 'screen.stop' => 'coordinator',
        'screen.show' => 'coordinator tutor', 'screen.pdf' => 'coordinator tutor', 'screen.own' => 'student',
        'screen.leave-out' => 'coordinator tutor', 'screen.undo' => 'coordinator tutor',
        'screen.record' => 'coordinator tutor', 'screen.name' => 'coordinator', 'screen.own-record' => 'student',
        'writing.index' => 'coordinator', 'writing.measure' => 'coordinator', 'writing.show' => 'coordinator tutor',
        'baselines.index' => 'coordinator', 'baselines.store' => 'coordinator', 'baselines.show' => 'coordinator',
        'baselines.add' => 'coordinator', 'baselines.take-out' => 'coordinator', 'detector.show' => 'coordinator',
        'archive.index' => 'coordinator', 'archive.store' => 'coordinator', 'archive.take-out' => 'coordinator',
        'share-out.index' => 'coordinator', 'share-out.plan' => 'coordinator', 'share-out.move' => 'coordinator',
        'share-out.hand-over' => 'coordinator', 'share-out.apply' => 'coordinator', 'share-out.drop' => 'coordinator',
        'conflicts.index' => 'coordinator', 'conflicts.store' => 'coordinator', 'conflicts.destroy' => 'coordinator',
        'together.index' => 'coordinator tutor', 'together.store' => 'coordinator',
        'together.levels' => 'coordinator tutor', 'scripts.name' => 'coordinator', 'names.index' => 'coordinator',
        'names.again' => 'coordinator', 'names.decide' => 'coordinator',
        'mark.index' => 'coordinator tutor', 'mark.desk' => 'tutor', 'mark.choose' => 'tutor',
        'mark.comment' => 'tutor', 'mark.done' => 'tutor', 'mark.reopen' => 'tutor', 'mark.remind' => 'coordinator',
        'mark.agree' => 'tutor', 'mark.take-first' => 'tutor',
        'mark.settings' => 'anyone', 'mark.pages' => 'nobody', 'mark.sync' => 'tutor', 'mark.news' => 'tutor',
        'mark.token' => 'tutor', 'mark.rubric' => 'tutor', 'mark.lately' => 'tutor', 'mark.annotations' => 'tutor',
        'mark.aside' => 'tutor', 'mark.together' => 'tutor', 'attachments.store' => 'tutor',
        'attachments.show' => 'tutor', 'attachments.destroy' => 'tutor',
        'bank.index' => 'coordinator tutor student outsider', 'bank.make' => 'coordinator tutor student outsider',
        'bank.comments.store' => 'coordinator tutor student outsider', 'bank.comments.update' => 'coordinator tutor',
        'bank.comments.destroy' => 'coordinator tutor', 'bank.comments.used' => 'coordinator tutor',
        'bank.comments.restore' => 'nobody', 'bank.export' => 'coordinator tutor', 'bank.import' => 'coordinator tutor',
        'rounds.index' => 'coordinator', 'rounds.create' => 'coordinator', 'rounds.store' => 'coordinator',
        'rounds.edit' => 'coordinator', 'rounds.update' => 'coordinator', 'rounds.staff' => 'coordinator',
        'rounds.open' => 'coordinator', 'rounds.give' => 'coordinator', 'rounds.close' => 'coordinator',
        'rounds.let-in' => 'coordinator', 'rounds.work' => 'coordinator', 'trials.index' => 'coordinator',
        'trials.store' => 'coordinator', 'trials.destroy' => 'coordinator', 'trials.show' => 'student',
        'trials.update' => 'student', 'rounds.show' => 'coordinator student', 'rounds.offer' => 'student',
        'first-feedback.store' => 'student', 'first-feedback.update' => 'student', 'first-feedback.index' => 'coordinator',
        'sheets.index' => 'coordinator tutor student', 'sheets.store' => 'coordinator', 'sheets.update' => 'coordinator',
        'sheets.open' => 'coordinator', 'sheets.show' => 'coordinator student', 'sheets.write' => 'student',
        'contribution.index' => 'coordinator', 'contribution.save' => 'coordinator',
        'contributions.open' => 'coordinator', 'contributions.close' => 'coordinator',
        'contributions.reopen' => 'coordinator', 'contributions.set' => 'coordinator',
        // For students in a group: see ContributionTest.
        'contributions.show' => 'coordinator', 'contributions.rate' => 'nobody',
        'peer-reviews.desk' => 'student', 'peer-reviews.done' => 'student', 'peer-reviews.reopen' => 'student', 'peer-reviews.learnt' => 'nobody',
        'peer-reviews.return' => 'student', 'peer-reviews.show' => 'nobody', 'peer-reviews.answer' => 'nobody',
        'peer-reviews.flag' => 'nobody', 'peer-reviews.decide' => 'coordinator', 'peer-reviews.dealt' => 'coordinator',
        'moderate.index' => 'coordinator tutor examiner', 'moderate.show' => 'coordinator tutor examiner',
        'alike.show' => 'coordinator tutor examiner', 'alike.module' => 'coordinator tutor examiner',
        'corrections.index' => 'coordinator', 'corrections.store' => 'coordinator',
        'corrections.show' => 'coordinator', 'corrections.update' => 'coordinator',
        'plan.forecast' => 'coordinator', 'sample.index' => 'coordinator', 'sample.store' => 'coordinator',
        'packs.index' => 'coordinator', 'packs.store' => 'coordinator', 'packs.moderators' => 'coordinator',
        'packs.show' => 'coordinator examiner', 'packs.update' => 'coordinator', 'packs.send' => 'coordinator',
        'packs.say' => 'examiner', 'packs.answer' => 'coordinator', 'packs.sign' => 'examiner',
        'packs.zip' => 'coordinator examiner', 'packs.script' => 'coordinator examiner',
        'moderate.decide' => 'coordinator', 'moderate.third' => 'coordinator tutor',
        'moderate.open' => 'coordinator tutor', 'moderate.say' => 'coordinator tutor',
        'moderate.feedback' => 'coordinator tutor',
        'moderate.preview' => 'coordinator tutor',
        'moderate.propose' => 'tutor', 'moderate.accept' => 'tutor',
        'release.index' => 'coordinator', 'release.store' => 'coordinator', 'release.reveal' => 'coordinator',
        'releases.progress' => 'coordinator', 'releases.update' => 'coordinator', 'release.mail' => 'coordinator',
        'release.confirm' => 'coordinator', 'release.preview' => 'coordinator',
        'cases.store' => 'coordinator', 'cases.update' => 'coordinator', 'release.absent' => 'coordinator',
        'scripts.hold' => 'coordinator',
        'results.show' => 'coordinator student', 'results.pages' => 'nobody',
        'replies.store' => 'student', 'results.rate' => 'student',
        'results.reflect' => 'student', 'results.mark' => 'student', 'replies.index' => 'coordinator tutor',
        'replies.show' => 'coordinator tutor', 'replies.answer' => 'coordinator tutor',
        'replies.update' => 'coordinator tutor', 'replies.file' => 'nobody',
        'results.pdf' => 'student', 'results.correct' => 'coordinator',
        'results.correct.store' => 'coordinator', 'reviews.store' => 'student', 'reviews.show' => 'coordinator',
        'reviews.update' => 'coordinator', 'reviews.file' => 'nobody', 'reviews.look' => 'coordinator', 'results.reading' => 'student',
        'grade-book' => 'coordinator outsider', 'grade-book.show' => 'coordinator', 'grade-book.csv' => 'coordinator',
        'module-plan.edit' => 'coordinator', 'module-plan.update' => 'coordinator',
        'grade-book.take' => 'coordinator', 'grade-book.oneroster' => 'coordinator', 'grade-book.lie' => 'coordinator',
        'board.show' => 'coordinator examiner', 'board.confirm' => 'coordinator', 'board.draw' => 'coordinator',
        'board.take' => 'coordinator examiner', 'boards.show' => 'coordinator examiner',
        'boards.take' => 'coordinator examiner', 'members.note' => 'coordinator', 'member-notes.back' => 'coordinator',
        'logbook' => 'coordinator', 'logbook.take' => 'coordinator', 'cohort-talk' => 'coordinator', 'find' => 'anyone', 'modules.copy' => 'coordinator',
        'modules.copy.store' => 'coordinator',
        'discussion.show' => 'coordinator tutor examiner student', 'topics.store' => 'coordinator',
        'topics.update' => 'coordinator', 'topics.destroy' => 'coordinator', 'topics.close' => 'coordinator',
        'topics.show' => 'coordinator tutor examiner student', 'topics.news' => 'coordinator tutor examiner student',
        'topics.threads' => 'coordinator tutor examiner student', 'topics.follow' => 'coordinator tutor examiner student',
        'flags.leave' => 'coordinator', 'posts.store' => 'coordinator tutor examiner student',
        'posts.show' => 'coordinator tutor examiner student', 'posts.replies' => 'coordinator tutor examiner student',
        'posts.edit' => 'student', 'posts.update' => 'student', 'posts.take-back' => 'student', 'posts.hide' => 'coordinator',
        'posts.pin' => 'coordinator', 'posts.move' => 'coordinator', 'posts.flag' => 'coordinator tutor examiner',
        'posts.unread' => 'coordinator tutor examiner student', 'posts.file' => 'student',
        'slots.index' => 'coordinator tutor', 'slots.calendar' => 'coordinator tutor student', 'grounds.store' => 'coordinator',
        'grounds.destroy' => 'coordinator', 'slots.draw' => 'coordinator', 'slots.publish' => 'coordinator',
        'slots.no-shows' => 'coordinator', 'slots.move' => 'coordinator', 'swaps.store' => 'student',
        'swaps.update' => 'coordinator student', 'observe.token' => 'anyone', 'observe.show' => 'coordinator tutor',
        'observe.events' => 'tutor', 'observe.files' => 'tutor', 'observe.done' => 'tutor',
        'observation-files.show' => 'coordinator tutor examiner',
    ];

    /** Routes for people who are not signed in, or for everyone. */
    private const OPEN = [
        'sign-in.code', 'sign-in.code.store', 'sign-in.link', 'sign-in.link.store', 'sign-in.link.show',
        'sign-in.link.take', 'up', 'metrics', 'forgotten', 'forgotten.store', 'password.reset', 'password.update', 'sign-in',
        'sign-in.store',
        'welcome', 'welcome.store', 'demo', 'demo.mail', 'observe.worker',
    ];

    public function test_every_route_has_a_rule_and_keeps_it(): void
    {
        $this->module(2, 2);
        $assignment = $this->released();
        $this->screenOtherwise($assignment, ['students' => true]);
        $people = [
            'coordinator' => $this->coordinator,
            'tutor' => $this->markOf($this->script($assignment), Seat::First)->marker,
            'examiner' => $this->member(Role::Examiner), 'student' => $this->students[0],
            'other student' => $this->students[1], 'admin' => User::factory()->create(['is_admin' => true]),
            'outsider' => $this->member(Role::Coordinator, Module::factory()->create()),
        ];
        $walked = 0;
        foreach (Routes::getRoutes() as $route) {
            $name = (string) $route->getName();
            if (
                $route->getActionName() === 'Closure' || str_starts_with($name, 'storage.')
                || in_array($name, self::OPEN, true)
            ) {
                continue;
            }
            self::assertArrayHasKey(
                $name, self::RULES, "The route {$name} ({$route->uri()}) has no rule in this test.",
            );
            $walked++;
            // What a route may change is made anew after someone who was let through; who was refused changed nothing.
            $looks = $route->methods()[0] === 'GET';
            $address = $this->address($route, $assignment);
            foreach ($people as $who => $person) {
                $allowed = self::RULES[$name] === 'anyone' || in_array($who, explode(' ', self::RULES[$name]), true)
                    || (
                        $who === 'other student'
                        && in_array(
                            $name,
                            [
                                'modules.show', 'assignments.show', 'hand-in.show', 'hand-in.store', 'templates.show',
                                'drafts.store', 'uploads.store', 'typed.update', 'typed.begin',
                                'trials.show', 'trials.update', 'rounds.show', 'rounds.offer', 'bank.index',
                                'bank.make', 'bank.comments.store', 'sheets.index', 'sheets.show',
                                'sheets.write', 'discussion.show', 'topics.show', 'topics.news', 'topics.threads',
                                'topics.follow', 'posts.store', 'posts.show', 'posts.replies', 'posts.flag',
                                'posts.unread', 'posts.file', 'slots.calendar',
                            ],
                            true,
                        )
                    );
                $status = $this->walk($route, $address, $person);
                self::assertSame($allowed, ! in_array($status, [403, 404], true), "{$who} on {$name}: {$status}");
                self::assertNotSame(500, $status, "{$who} on {$name}");
                $address = $allowed && ! $looks ? $this->address($route, $assignment) : $address;
            }
            $this->app['auth']->forgetGuards();
            $this->flushSession();
            $answer = $this->call($route->methods()[0], $address);
            self::assertTrue(
                $answer->isRedirect(route('sign-in')) || $answer->status() === 401,
                "nobody on {$name}: {$answer->status()}",
            );
        }
        self::assertGreaterThan(45, $walked);
    }

    private function walk(Route $route, string $address, User $person): int
    {
        return $this->actingAs($person->fresh() ?? $person)->call($route->methods()[0], $address)
            ->baseResponse->getStatusCode();
    }
}
