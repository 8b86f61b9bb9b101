<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\AttachedText;
use App\Enums\NoticeKind;
use App\Exceptions\Refused;
use App\Handins\WorkReader;
use App\Jobs\ReadAttachedJob;
use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\Result;
use App\Models\Script;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use finfo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Says something in a thread of replies, a student's or their marker's, and tells the other side.
 */
final class SayInReply
{
    public const MOST = 200;

    private const SOUND = [
        'audio/webm', 'video/webm', 'audio/ogg', 'application/ogg', 'audio/mp4', 'video/mp4', 'audio/x-m4a',
    ];

    private const RUNS = [
        'application/x-dosexec', 'application/x-executable', 'application/x-sharedlib', 'text/x-shellscript',
        'text/html', 'image/svg+xml', 'application/x-httpd-php', 'text/x-php',
    ];

    public function __construct(private readonly Notices $notices)
    {
    }

    /**
     * @throws Refused when the thread is closed, or the file is of a kind that is not taken
     */
    public function __invoke(
        Script $script, string $about, string $body, ?UploadedFile $file, User $by, bool $isSpoken = false,
    ): Reply {
        $mime = $file === null ? '' : (string) (new finfo(FILEINFO_MIME_TYPE))->file($file->getRealPath());
        in_array($mime, self::RUNS, true) && throw new Refused(
            'Files that can run, and web pages, are not attached. Put it into a ZIP, or send a PDF. Your words are kept in the field.',
            'file',
        );
        $isSpoken && ! in_array($mime, self::SOUND, true) && throw new Refused(
            "This is no recording that browsers play (it is {$mime}). Record it anew, or attach it as a file. Your words are kept in the field.",
            'file',
        );
        // A browser's recording of sound alone is named after its container.
        $mime = $isSpoken ? str_replace(['video/', 'application/'], 'audio/', $mime) : $mime;
        $path = $file === null ? null : 'replies/'.Str::uuid()->toString();
        $path === null || Storage::put($path, (string) file_get_contents((string) $file->getRealPath()));
        try {
            $reply = DB::transaction(fn (): Reply => $this->keep($script, $about, $body, [
                'file_path' => $path, 'file_mime' => $mime,
                'file_state' => ($path === null || $isSpoken ? AttachedText::None : AttachedText::Waits)->value,
                'file_name' => $file === null ? '' : Str::limit(WorkReader::safeName($file->getClientOriginalName()), 190, ''),
            ], $by));
        } catch (Refused $e) {
            $path === null || Storage::delete($path);
            throw $e;
        }
        $reply->file_state === AttachedText::Waits && ReadAttachedJob::dispatch($reply);

        return $reply;
    }

    /**
     * @param  array<string, string|null>  $file
     */
    private function keep(Script $script, string $about, string $body, array $file, User $by): Reply
    {
        $stored = Script::query()->with('assignment.module')->lockForUpdate()->findOrFail($script->id);
        $result = $stored->result ?? throw new Refused('There is no result to reply to.');
        $thread = ReplyThread::query()->firstOrCreate(['script_id' => $stored->id, 'about' => $about]);
        $thread->setRelation('script', $stored);
        $thread->closed_at === null || throw new Refused(
            'This was closed, so nothing was added. What was said stays to be read.', 'body',
        );
        $thread->replies()->count() < self::MOST || throw new Refused(
            'So much has been said here that nothing more is added. Write to your coordinator.', 'body',
        );
        $reply = Reply::query()->create([
            'reply_thread_id' => $thread->id, 'author_id' => $by->id, 'from_student' => $stored->student_id === $by->id,
            'body' => $body, ...$file,
        ]);
        $reply->from_student ? $this->tellMarkers($thread, $reply) : $this->tellStudent($thread, $reply, $result);

        return $reply;
    }

    private function tellMarkers(ReplyThread $thread, Reply $reply): void
    {
        $assignment = $thread->script->assignment;
        $values = ['assignment' => $assignment->title, 'code' => $thread->script->leadScript()->code];
        $this->notices->make(array_values(User::query()->whereKey($thread->markers())->get()
            ->map(fn (User $marker) => new NewNotice(
                $marker, NoticeKind::Reply, "reply:{$reply->public_id}:{$marker->id}",
                (string) __('notices.reply_to_marker', $values), route('replies.show', $thread, false), $assignment,
                (string) __('notices.reply_to_marker', $values),
                (string) __('notices.reply_to_marker_body', $values + [
                    'name' => $marker->name, 'link' => route('replies.show', $thread),
                ]),
            ))->all()));
    }

    private function tellStudent(ReplyThread $thread, Reply $reply, Result $result): void
    {
        $assignment = $thread->script->assignment;
        $values = ['assignment' => $assignment->title];
        $place = '#thread-'.$thread->public_id;
        $this->notices->make([new NewNotice(
            $thread->script->student, NoticeKind::Reply, "reply:{$reply->public_id}:{$thread->script->student_id}",
            (string) __('notices.reply_to_student', $values), route('results.show', $result, false).$place, $assignment,
            (string) __('notices.reply_to_student', $values),
            (string) __('notices.reply_to_student_body', $values + [
                'name' => $thread->script->student->name, 'link' => route('results.show', $result).$place,
            ]),
        )]);
    }
}
