<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Puts a comment into a set of the bank, makes a set, changes or takes out a comment.
 */
final class KeepBankComment
{
    public const MOST = 2000;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string  $set  a set's public id, or "own" or "team" for a new one
     * @param  array{label: string, text: string, kind: string, criterion: string}  $fields
     *
     * @throws Refused
     */
    public function keep(string $set, ?Module $module, array $fields, User $by): BankComment
    {
        return DB::transaction(function () use ($set, $module, $fields, $by): BankComment {
            $into = match ($set) {
                'own' => $this->make(null, 'My comments', $by),
                'team' => $this->make(
                    $module ?? throw new Refused('Choose the module whose team shares the set.'),
                    'Comments of the team', $by,
                ),
                default => BankSet::of($by)->where('public_id', $set)
                    ->first()
                        ?? throw new Refused('There is no such set, or it is not yours to write in. Nothing was kept.'),
            };

            return $this->into($into, [$fields], $by)[0];
        });
    }

    /** Deletes a comment for now; of a team's set the logbook says who did. */
    public function delete(BankComment $comment, User $by): void
    {
        DB::transaction(function () use ($comment, $by): void {
            $comment->delete();
            $this->log(LogEvent::BankCommentDeleted, $comment, $by);
        });
    }

    public function bringBack(BankComment $comment, User $by): void
    {
        DB::transaction(function () use ($comment, $by): void {
            $comment->restore();
            $this->log(LogEvent::BankCommentBack, $comment, $by);
        });
    }

    private function log(LogEvent $event, BankComment $comment, User $by): void
    {
        $module = $comment->set->module;
        $module === null
            || $this->logbook->write(
                Entry::of($event)->in($module)->saying(title: $comment->set->title, label: $comment->label)->by($by)
            );
    }

    public function make(?Module $module, string $title, User $by): BankSet
    {
        return BankSet::query()->firstOrCreate(
            ['module_id' => $module?->id, 'title' => $title, ...($module === null ? ['owner_id' => $by->id] : [])],
            ['owner_id' => $by->id],
        );
    }

    /**
     * @param  list<array{label: string, text: string, kind: string, criterion: string}>  $comments
     * @return list<BankComment> what was added; what stood there word for word already is not added again
     *
     * @throws Refused
     */
    public function into(BankSet $set, array $comments, User $by): array
    {
        return DB::transaction(function () use ($set, $comments, $by): array {
            $has = $set->comments()->lockForUpdate()->pluck('text', 'id')->flip();
            throw_if(
                $has->count() + count($comments) > self::MOST,
                new Refused(
                    'A set holds '.number_format(self::MOST).' comments at most. Nothing was added; begin another set.'
                ),
            );
            $added = [];
            foreach ($comments as $one) {
                $known = $has[$one['text']] ?? null;
                if ($known !== null && count($comments) > 1) {
                    continue;
                }
                $added[] = $known !== null
                    ? BankComment::query()->findOrFail($known)
                    : $set->comments()->create([...$one, 'saved_by' => $by->id]);
            }

            return $added;
        });
    }

    /**
     * @param  array{label: string, text: string, kind: string, criterion: string}  $fields
     *
     * @throws Refused when someone else changed it since it was looked at
     */
    public function change(BankComment $comment, array $fields, int $seen, User $by): void
    {
        DB::transaction(function () use ($comment, $fields, $seen, $by): void {
            $stored = BankComment::query()->lockForUpdate()->findOrFail($comment->id);
            throw_if(
                $stored->lock_version !== $seen,
                new Refused(
                    "Someone changed “{$stored->label}” while you were at it. It now reads: “{$stored->text}”. Your words are still in the field; save again to put them in its place.",
                    'text',
                ),
            );
            $stored->update([...$fields, 'saved_by' => $by->id, 'lock_version' => $seen + 1]);
        });
    }
}
