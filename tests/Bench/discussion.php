<?php

declare(strict_types=1);

/*
 * Discussions: a topic of 2,000 posts beside one of 50, opened, asked for news and posted in; the desk of a script of
 * 200 posts beside one of ten, and beside an empty page.
 */

use App\Actions\Discuss\FreezeDueDiscussions;
use App\Actions\Discuss\WritePost;
use App\Jobs\ReadHandinJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Topic;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\Feature\Discuss\DiscussWorld;
use Tests\World;
use YoungHarbor\Core\Marking\Seat;

require __DIR__.'/begin.php';
Route::middleware(['web', 'auth'])->get('/bench-empty', fn () => view('bench-empty'));
app('view')->addLocation(__DIR__.'/views');

$world = new class
{
    use DiscussWorld;
    use World;

    /**
     * One in five begins a thread; the others answer in one of the last twenty.
     *
     * @return array{Topic, User, User, User} the topic, a student, a marker, and a student who has not written
     */
    public function topicOf(int $posts): array
    {
        $this->tutors = $this->students = [];
        DB::transaction(fn () => $this->discussion(13));
        DB::transaction(function () use ($posts): void {
            $threads = [];
            for ($n = 0; $n < $posts; $n++) {
                $answers = $n % 5 === 0 ? null : $threads[max(0, count($threads) - 1 - $n % 20)];
                $post = $this->says($n % 12, "Post number {$n}. ".$this->prose(60, $n), $answers);
                $answers === null && $threads[] = $post;
            }
        });

        return [$this->topic, $this->students[3], $this->tutors[0], $this->students[12]];
    }

    /** The mark of a student who wrote so many posts, each answered once. */
    public function markOfPosts(int $posts): Mark
    {
        $this->tutors = $this->students = [];
        Carbon::setTestNow();
        DB::transaction(fn () => $this->discussion(2));
        DB::transaction(function () use ($posts): void {
            for ($n = 0; $n < $posts; $n++) {
                $this->says(1, $this->prose(20, $n), $this->says(0, "Post number {$n}. ".$this->prose(60, $n)));
            }
        });
        $this->ends();
        foreach (Handin::query()->whereNull('read_at')->get() as $handin) {
            ReadHandinJob::dispatchSync([$handin->id], $handin->handed_in_by);
        }
        $this->shareOut(Assignment::query()->findOrFail($this->talk->id));

        return $this->markOf($this->script($this->talk), Seat::First);
    }

    public function write(Topic $topic, User $by): void
    {
        app(WritePost::class)($topic->fresh(['assignment']), $by, 'One more word on who should have paid for the light.');
    }

    public function freeze(): float
    {
        $start = hrtime(true);
        Carbon::setTestNow($this->talk->refresh()->closes_at->copy()->addMinute());
        app(FreezeDueDiscussions::class)();

        return (hrtime(true) - $start) / 1e6;
    }
};
printf("discussions, processor time\n");
[$few, $fewStudent, $fewMarker, $fewSilent] = $world->topicOf(50);
[$many, $manyStudent, $manyMarker, $manySilent] = $world->topicOf(2000);
$found = $inTurn([
    'an empty page' => [$fewStudent, '/bench-empty'],
    'a topic of 50, a student' => [$fewStudent, "/topics/{$few->public_id}"],
    'of 2,000' => [$manyStudent, "/topics/{$many->public_id}"],
    'of 50, a marker' => [$fewMarker, "/topics/{$few->public_id}"],
    'of 2,000, a marker' => [$manyMarker, "/topics/{$many->public_id}"],
    'news of 50' => [$fewStudent, "/topics/{$few->public_id}/news?after=99999999"],
    'news of 2,000' => [$manyStudent, "/topics/{$many->public_id}/news?after=99999999"],
], 40);
$posts = ['few' => [], 'many' => []];
for ($n = 0; $n < 45; $n++) {
    $posts['few'][] = $spent(fn () => $world->write($few, $fewSilent));
    $posts['many'][] = $spent(fn () => $world->write($many, $manySilent));
}
$frozen = $world->freeze();
[$ten, $hundreds] = [$world->markOfPosts(10), $world->markOfPosts(200)];
$found += $inTurn([
    'an empty page, beside desks' => [$ten->marker, '/bench-empty'],
    'the desk of 10 posts' => [$ten->marker, "/desk/{$ten->public_id}"],
    'the desk of 200 posts' => [$hundreds->marker, "/desk/{$hundreds->public_id}"],
], 40);
$empty = $found['an empty page']['cpu'];
// Ratios are of what was measured in turn: the machine may be busier an hour later.
$besideDesks = $found['an empty page, beside desks']['cpu'];
foreach ($found as $name => $one) {
    printf("  %-28s %6.1f ms, %.1f times an empty page; %2d queries, %d rows\n", $name.':', $one['cpu'], $one['cpu'] / (str_contains($name, 'desk') ? $besideDesks : $empty), $one['queries'], $one['rows']);
}
$ratio = fn (string $a, string $b): float => $found[$a]['cpu'] / $found[$b]['cpu'];
printf(
    "  ratios, 2,000 to 50: opened by a student %.2f, by a marker %.2f (aim: 2), news %.2f, a new post %.2f (%.1f and %.1f ms; aim: 1.2)\n",
    $ratio('of 2,000', 'a topic of 50, a student'), $ratio('of 2,000, a marker', 'of 50, a marker'), $ratio('news of 2,000', 'news of 50'),
    $median($posts['many']) / $median($posts['few']), $median($posts['many']), $median($posts['few']),
);
printf(
    "  the desk of 200 posts: %.1f times an empty page (aim: 4), %.2f times one of 10 posts; 2,000 posts of 13 students frozen in %.0f ms\n",
    $found['the desk of 200 posts']['cpu'] / $besideDesks, $ratio('the desk of 200 posts', 'the desk of 10 posts'), $frozen,
);
