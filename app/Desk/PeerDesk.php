<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\HandinFile;
use App\Models\Mark;
use App\Models\PeerReview;
use App\Models\User;
use App\Queries\Peers\ReviewQueue;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Text\CommentKind;

/**
 * What the desk of a student who reviews is made of. Nothing of it knows a script code, a name (but where the round
 * shows names), a time, or what staff keep.
 */
final class PeerDesk
{
    /** Commands of the staff's desk that a reviewer has no use for. */
    private const WITHOUT = ['private', 'lately', 'levels', 'aside'];

    public function __construct(private readonly DeskState $state)
    {
    }

    /**
     * @return array<string, mixed>
     */
    public function of(PeerReview $review, User $person): array
    {
        $review->loadMissing(['round', 'work', 'member', 'mark']);
        $mark = DeskMark::of($review->mark)->mark;
        $mark->handin->load('files');
        $review->round->setRelation('assignment', $mark->script->assignment);
        $mark->setRelation('peerReview', $review);
        $rubric = $mark->rubric();
        $score = $mark->score();
        $sets = BankSet::query()->whereNull('module_id')->where('owner_id', $person->id)->get();
        $files = $this->files($mark);
        $names = array_diff_key(DeskKeys::NAMES, array_flip(self::WITHOUT));

        return [
            'review' => $review, 'round' => $review->round, 'assignment' => $review->round->assignment, 'mark' => $mark,
            'rubric' => $rubric, 'score' => $score, 'files' => $files, 'earlier' => false,
            'working' => ScoreWorking::of($score, $rubric->weighting, $rubric->decimals),
            'locked' => $mark->isDone() || ! $review->isOpen(), 'stays' => $review->whyItStays(),
            'queue' => ReviewQueue::around($review), 'keys' => DeskKeys::of($person), 'names' => $names,
            'sets' => [
                ...$sets->mapWithKeys(fn (BankSet $set) => [$set->public_id => $set->title])->all(),
                'own' => (string) __('peers.new_set'),
            ],
            'config' => $this->config($review, $person, $sets, $files),
        ];
    }

    /**
     * @param  Collection<int, BankSet>  $sets
     * @param  list<array{number: int, url: string}>  $files
     * @return array<string, mixed>
     */
    private function config(PeerReview $review, User $person, Collection $sets, array $files): array
    {
        $mark = $review->mark;
        $titles = [];
        foreach ($mark->rubric()->criteria as $criterion) {
            $titles[$criterion->id()] = $criterion->title();
        }
        $titled = $sets->keyBy('id');
        $comments = $sets->isEmpty() ? [] : BankComment::query()->whereIn('bank_set_id', $titled->keys())->get()
            ->map(fn (BankComment $one) => $one->setRelation('set', $titled[$one->bank_set_id])->forDesk())->all();
        $state = $this->state->of($mark);

        return [
            'kinds' => array_map(
                fn (string $key) => __("mark.comment_kind.{$key}"),
                array_combine(CommentKind::keys(), CommentKind::keys()),
            ),
            'code' => $review->work->code, 'earlier' => false, 'place' => $mark->place,
            'state' => ['done' => $mark->isDone() || ! $review->isOpen()] + $state,
            'keys' => array_diff_key(DeskKeys::of($person), array_flip(self::WITHOUT)),
            'side' => $person->desk['side'] ?? null, 'criteria' => (object) $titles,
            'sync' => route('mark.sync', $mark), 'news' => route('mark.news', $mark),
            'token' => route('mark.token', $mark), 'settings' => route('mark.settings'), 'attachments' => '',
            'bankUsed' => route('bank.comments.used', 'ENTRY'), 'voiceSeconds' => 0, 'files' => $files,
            'bank' => array_values($comments),
        ];
    }

    /**
     * The pages there are to look at: of PDFs, drawn anew without names.
     *
     * @return list<array{number: int, url: string}>
     */
    private function files(Mark $mark): array
    {
        return array_values($mark->handin->files->filter(fn (HandinFile $file) => $file->pages_path !== null)->map(
            fn (HandinFile $file) => [
                'number' => $file->position, 'url' => route('mark.pages', [$mark, $file->position]),
            ],
        )->all());
    }
}
