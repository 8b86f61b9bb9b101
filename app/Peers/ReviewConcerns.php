<?php

declare(strict_types=1);

namespace App\Peers;

use App\Handins\WorkReader;
use App\Models\MarkComment;
use App\Models\PeerReview;
use App\Models\RoundMember;
use App\Models\User;
use App\Wording\FirstWords;
use Illuminate\Support\Str;
use YoungHarbor\Core\Names\Letters;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Text\Words;

/**
 * What is pointed out to a reviewer once before a review is sent: too little, the same everywhere, very quick, or who
 * they are.
 */
final class ReviewConcerns
{
    /** Words a minute that nobody reads at with care. Common practice, no source: silent reading is 200 to 300. */
    private const READ_A_MINUTE = 700;

    public const THIN = 'thin';

    public const SAME = 'same';

    public const QUICK = 'quick';

    public const NAMES = 'names';

    /**
     * @return array<string, string> sentences by key
     */
    public static function of(PeerReview $review): array
    {
        $concerns = [];
        $comments = self::comments($review);
        $thin = self::thin($review, $comments);
        if ($thin !== []) {
            $concerns[self::THIN] = (string) __('peers.concern.thin', [
                'where' => implode(', ', array_slice($thin, 0, 6)), 'least' => $review->round->settings->leastWords,
            ]);
        }
        $written = array_filter(array_map(trim(...), $comments), fn (string $one) => $one !== '');
        if (count($written) > 1 && count(array_unique(array_map(mb_strtolower(...), $written))) === 1) {
            $concerns[self::SAME] = (string) __('peers.concern.same');
        }
        if (self::isQuick($review)) {
            $concerns[self::QUICK] = (string) __('peers.concern.quick', [
                'seconds' => $review->mark->seconds, 'words' => number_format($review->mark->handin->words),
            ]);
        }
        $named = $review->own || $review->round->settings->names->authorsSeeReviewers() ? null : self::named($review);
        if ($named !== null) {
            $concerns[self::NAMES] = (string) __('peers.concern.names', ['where' => $named]);
        }

        return $concerns;
    }

    public static function isQuick(PeerReview $review): bool
    {
        $words = $review->mark->handin->words;

        return ! $review->own && $review->mark->seconds > 0
            && $review->mark->seconds < max(60, 60 * $words / self::READ_A_MINUTE);
    }

    /**
     * Comments on criteria that are shorter than asked for.
     *
     * @param  array<string, string>  $comments
     * @return list<string> titles with the number of words
     */
    private static function thin(PeerReview $review, array $comments): array
    {
        $least = $review->round->settings->leastWords;
        $thin = [];
        foreach ($least === 0 ? [] : $review->mark->rubric()->scored() as $criterion) {
            $words = Words::of($comments[$criterion->id()] ?? '')->count();
            $words >= $least || $thin[] = "{$criterion->title()} ({$words})";
        }

        return $thin;
    }

    /** How many of the comments that are asked for are as long as asked for. */
    public static function fullComments(PeerReview $review): int
    {
        return count($review->mark->rubric()->scored()) - count(self::thin($review, self::comments($review)));
    }

    /**
     * @return array<string, string> by criterion
     */
    private static function comments(PeerReview $review): array
    {
        $comments = [];
        foreach ($review->mark->rubric()->criteria as $criterion) {
            $comments[$criterion->id()] = $review->mark->choices->on($criterion->id())->comment;
        }

        return $comments;
    }

    /**
     * The words around a name, number or address in what a reviewer wrote; null where none stands. Whoever is in the
     * round is looked for alike: were it the reviewer and author alone, one could try names to learn whose work it is.
     */
    private static function named(PeerReview $review): ?string
    {
        $titles = array_map(fn (Criterion $one) => $one->title(), $review->mark->rubric()->criteria);
        $texts = [
            ...array_combine($titles, array_values(self::comments($review))), '' => $review->mark->general_comment,
            ...MarkComment::query()->where('mark_id', $review->mark_id)->whereNull('gone_at')->pluck('body')->all(),
        ];
        $plain = fn (string $text): string => mb_strtolower(Letters::of($text, true)->plain);
        $all = $plain(implode("\n", $texts));
        // A mask looks closely and takes its time: only for those of whom some part stands here.
        $people = User::query()->whereIn(
            'id', RoundMember::query()->where('round_id', $review->round_id)->select('user_id'),
        )->get(['id', 'name', 'number', 'email', 'former_names'])->filter(fn (User $one) => Str::contains($all, array_filter(
            preg_split('/[\s,]+/u', $plain(implode(' ', array_map(
                fn (array $naming) => "{$naming['name']} {$naming['number']} ".Str::before($naming['email'], '@'), $one->namings(),
            )))) ?: [],
            fn (string $part) => mb_strlen($part) > 1,
        )));
        foreach (WorkReader::masks($people) as $mask) {
            foreach ($texts as $text) {
                if ($text !== '' && $mask->isIn($text)) {
                    return FirstWords::of($text);
                }
            }
        }

        return null;
    }
}
