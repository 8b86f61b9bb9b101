<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Models\Assignment;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\Reflection;
use App\Models\ReplyThread;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Marking\Seat;

/**
 * What students and markers say to each other about feedback, and how many found it useful.
 */
final class Replies
{
    /** Numbers on how useful feedback was are shown of so many students or more. */
    public const LEAST = 5;

    /**
     * A student's threads, by what they are about.
     *
     * @return Collection<string, ReplyThread>
     */
    public function ofScript(Script $script): Collection
    {
        return ReplyThread::query()->where('script_id', $script->id)->with('replies.author')->get()
            ->each(fn (ReplyThread $thread) => $thread->setRelation('script', $script)->replies->each(
                fn ($reply) => $reply->setRelation('thread', $thread),
            ))->keyBy('about');
    }

    /**
     * Threads about what a person said; for coordinators all. Those with something new first.
     *
     * @return Collection<int, ReplyThread> each with `unread`
     */
    public function of(Assignment $assignment, User $person): Collection
    {
        return $this->threads($assignment, $person)->with(['script.lead', 'replies'])
            ->selectSub($this->unread($person), 'unread')->orderByDesc('unread')
            ->orderByDesc('reply_threads.updated_at')
            ->orderByDesc('reply_threads.id')->limit(500)->get();
    }

    /**
     * What students wrote about their feedback: for coordinators all, for markers of scripts they marked first, where
     * the assignment lets them read it.
     *
     * @return Collection<int, Reflection>
     */
    public function reflections(Assignment $assignment, User $person): Collection
    {
        $coordinates = $person->coordinates($assignment->module_id);
        if (! $coordinates && ! $assignment->release->reflection->markersRead) {
            return new Collection;
        }
        $scripts = Script::query()->where('assignment_id', $assignment->id);
        $coordinates || $scripts->whereIn(DB::raw('COALESCE(lead_id, id)'), Mark::query()
            ->where('assignment_id', $assignment->id)->where('marker_id', $person->id)->where('seat', Seat::First)
            ->select('script_id'));

        return Reflection::query()->whereIn('script_id', $scripts->select('id'))
            ->with(['script.lead', 'script.student'])
            ->orderBy('public_id')->limit(500)->get();
    }

    /** How many replies of students they have not read. */
    public function unreadBy(Assignment $assignment, User $person): int
    {
        return (int) DB::query()->fromSub(
            $this->threads($assignment, $person)->selectSub($this->unread($person), 'unread')->toBase(), 'threads',
        )->sum('unread');
    }

    /**
     * Of comments of theirs that students rated, how many were found useful; null of fewer than five students.
     *
     * @return array{rated: int, useful: int, students: int}|null
     */
    public function usefulOf(Assignment $assignment, User $marker): ?array
    {
        $row = DB::table('feedback_ratings')->join('scripts', 'scripts.id', '=', 'feedback_ratings.script_id')
            ->where('scripts.assignment_id', $assignment->id)
            ->whereIn('about', MarkComment::query()->selectRaw("CONCAT('comment:', public_id)")->whereIn(
                'mark_id', Mark::query()->where('assignment_id', $assignment->id)->where('marker_id', $marker->id)
                    ->select('id'),
            )->toBase())
            ->selectRaw('COUNT(*) AS rated, COALESCE(SUM(useful), 0) AS useful, COUNT(DISTINCT script_id) AS students')
            ->first();

        return $row === null || (int) $row->students < self::LEAST
            ? null
            : ['rated' => (int) $row->rated, 'useful' => (int) $row->useful, 'students' => (int) $row->students];
    }

    /**
     * @return Builder<ReplyThread>
     */
    private function threads(Assignment $assignment, User $person): Builder
    {
        $threads = ReplyThread::query()->select('reply_threads.*')
            ->whereIn('script_id', Script::query()->where('assignment_id', $assignment->id)->select('id'));
        if ($person->coordinates($assignment->module_id)) {
            return $threads;
        }
        $mine = Mark::query()->where('assignment_id', $assignment->id)->where('marker_id', $person->id);

        return $threads->where(fn ($query) => $query
            ->whereIn('about', MarkComment::query()->whereIn('mark_id', (clone $mine)->select('id'))
                ->selectRaw("CONCAT('comment:', public_id)"))
            ->orWhere(fn ($first) => $first->whereNotLike('about', 'comment:%')->whereIn(
                'script_id', Script::query()->whereIn(
                    DB::raw('COALESCE(lead_id, id)'), $mine->where('seat', Seat::First)->select('script_id'),
                )->select('id'),
            )));
    }

    private function unread(User $person): \Illuminate\Database\Query\Builder
    {
        return DB::table('replies')->whereColumn('replies.reply_thread_id', 'reply_threads.id')
            ->where('from_student', true)
            ->where('replies.id', '>', DB::table('reply_readings')->whereColumn('reply_thread_id', 'reply_threads.id')
                ->where('user_id', $person->id)->selectRaw('COALESCE(MAX(read_to), 0)'))
            ->selectRaw('COUNT(*)');
    }
}
