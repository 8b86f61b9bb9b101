<?php

declare(strict_types=1);

/*
 * For the test of a discussion.
 *   talk.php posts W…     these each write a post and a reply in the topic
 *   talk.php ends         the discussion ends now, and is frozen; its scripts go to the module's tutor; prints
 *                         the address of one
 *   talk.php marks        every mark that is not done is made
 */

use App\Actions\Discuss\FreezeDueDiscussions;
use App\Actions\Discuss\WritePost;
use App\Actions\Mark\ChangeMark;
use App\Actions\Mark\FinishMark;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Jobs\ReadHandinJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Post;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\RailStop;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));

$person = fn (string $who): User => User::query()->where('email', "{$who}@merrow.example")->sole();
$talk = Assignment::query()->where('title', 'Whose is the shore?')->sole();
$topic = $talk->topics()->firstOrFail();

if ($argv[1] === 'posts') {
    foreach (array_slice($argv, 2) as $who) {
        $first = Post::query()->where('topic_id', $topic->id)->whereNull('thread_id')->orderBy('id')->firstOrFail();
        $write = fn (
            string $text, ?Post $answers
        ) => app(WritePost::class)($topic->fresh(['assignment']), $person($who), $text, $answers);
        $write("What {$who} thinks of it: whoever mends the wall has a say in what stands behind it.", null);
        $write("And what {$who} answers: mending gives a say, and living there gives another.", $first);
    }
}
if ($argv[1] === 'ends') {
    $talk->forceFill(['due_at' => now()->subSecond(), 'closes_at' => now()->subSecond()])->save();
    $talk->scripts()->update(['due_at' => now()->subSecond(), 'closes_at' => now()->subSecond()]);
    Post::query()->where('topic_id', $topic->id)->update(['created_at' => now()->subMinute()]);
    app(FreezeDueDiscussions::class)();
    foreach (Handin::query()->whereNull('read_at')->get() as $handin) {
        ReadHandinJob::dispatchSync([$handin->id], $handin->handed_in_by);
    }
    $coordinator = $person('maren.oduya');
    Auth::setUser($coordinator);
    app(ApplyPlan::class)(app(WorkOutPlan::class)($talk->refresh(), [
        ['marker' => $person('marisol.echeverri-blake')->public_id, 'share' => '1', 'sections' => null],
    ], 5, false, false, $coordinator), $coordinator);
    echo Mark::counting()->where('assignment_id', $talk->id)->orderBy('id')->firstOrFail()->public_id;
}
if ($argv[1] === 'marks') {
    $open = Mark::counting()->where('assignment_id', $talk->id)->where('seat', Seat::First)->whereNull('done_at')->get();
    foreach ($open as $mark) {
        $choices = CriterionMarks::usual();
        foreach ($mark->rubricVersion->toCore()->criteria as $criterion) {
            $choices = $choices->with($criterion->id(), RailStop::mark($criterion, RailStop::of($criterion)[2]->key));
        }
        app(ChangeMark::class)($mark, fn (Mark $stored) => $stored->fill(['choices' => $choices, 'general_comment' => 'Read with interest.']));
        app(FinishMark::class)($mark->refresh());
    }
}
