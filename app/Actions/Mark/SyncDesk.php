<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Documents\ScriptText;
use App\Exceptions\Refused;
use App\Models\BankComment;
use App\Models\Mark;
use App\Models\MarkComment;
use Illuminate\Support\Str;
use YoungHarbor\Core\Formats\PageAnchor;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\Scorer;
use YoungHarbor\Core\Text\CommentKind;
use YoungHarbor\Core\Text\TextAnchor;

/**
 * Takes what a page of the desk has gathered since it last spoke with the server. Each change says what the page knew
 * before it: a change to what someone else (another tab, another device) has changed meanwhile is not written, and the
 * page gets both versions; everything else is. Clocks play no part. A change that was written but whose answer was lost
 * is the same when it comes again.
 */
final class SyncDesk
{
    /** Characters of a comment on the text or a criterion, and of the two long texts. */
    public const LONGEST = 20_000;

    public const MOST_COMMENTS = 500;

    /** So many the student is to read first. */
    public const MOST_STARRED = 3;

    public function __construct(private readonly ChangeMark $change)
    {
    }

    /**
     * @param  list<array<array-key, mixed>>  $changes  each with `key`, what it is about, what `was` there and what is `now`
     * @return array{mark: Mark, outcomes: array<string, array<string, mixed>>}
     *
     * @throws Refused when nothing of this mark can change any more
     */
    public function __invoke(Mark $mark, array $changes): array
    {
        $outcomes = [];
        $saved = ($this->change)($mark, function (Mark $stored) use ($changes, &$outcomes): void {
            foreach ($changes as $change) {
                $key = is_string($change['key'] ?? null) ? mb_substr($change['key'], 0, 120) : '';
                try {
                    $outcomes[$key] = $this->one($stored, $key, $change);
                } catch (InvalidInput $e) {
                    $outcomes[$key] = [
                        'state' => 'refused',
                        'why' => ucfirst(implode('; ', array_map(fn (Fault $fault) => $fault->what, $e->faults))).'.',
                    ];
                }
            }
        });

        return ['mark' => $saved, 'outcomes' => $outcomes];
    }

    /**
     * @param  array<array-key, mixed>  $change
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function one(Mark $stored, string $key, array $change): array
    {
        [$what, $about] = [...explode(':', $key, 2), ''];

        return match ($what) {
            'mark' => $this->choice($stored, $about, $change),
            'words' => $this->text(
                $change, $stored->choices->on($about)->comment,
                fn (string $text) => $this->putComment($stored, $about, $text),
            ),
            'general' => $this->text(
                $change, $stored->general_comment, fn (string $text) => $stored->general_comment = $text,
            ),
            'private' => $this->text(
                $change, $stored->private_note, fn (string $text) => $stored->private_note = $text,
            ),
            'reason' => $this->text($change, $stored->reason, fn (string $text) => $stored->reason = $text),
            'note' => $this->note($stored, $about, $change),
            default => throw InvalidInput::at($key, 'is nothing the desk knows'),
        };
    }

    /**
     * @param  array<array-key, mixed>  $change
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function choice(Mark $stored, string $id, array $change): array
    {
        $rubric = $stored->rubric();
        $criterion = $rubric->criterion($id) ?? throw InvalidInput::at($id, 'is no criterion of this rubric');
        $read = fn (mixed $form): CriterionMark => MarkForm::mark(
            $criterion, array_diff_key(is_array($form) ? $form : [], ['comment' => true]),
        );
        $now = $read($change['now'] ?? []);
        $has = $stored->choices->on($id);
        if (! $has->setsTheSame($now) && ! $has->setsTheSame($read($change['was'] ?? []))) {
            return [
                'state' => 'clash', 'theirs' => MarkForm::form($criterion, $has),
                'words' => $has->isUnset()
                    ? 'nothing'
                    : (trim(MarkForm::inWords($criterion, $has)) ?: ($has->points ?? 'another mark').' points'),
            ];
        }
        $choices = $stored->choices->with($id, $now->withComment($has->comment));
        Scorer::score($rubric, $choices);
        $stored->choices = $choices;

        return ['state' => 'saved'];
    }

    /**
     * @throws InvalidInput
     */
    private function putComment(Mark $stored, string $id, string $text): void
    {
        $stored->rubric()->criterion($id)
            ?? throw InvalidInput::at($id, 'is no criterion of this rubric');
        $stored->choices = $stored->choices->with(
            $id, $stored->choices->on($id)->withComment(trim($text) === '' ? '' : $text),
        );
    }

    /**
     * @param  array<array-key, mixed>  $change
     * @param  callable(string): mixed  $put
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function text(array $change, string $has, callable $put): array
    {
        $now = $this->words($change['now'] ?? '');
        $was = is_string($change['was'] ?? null) ? str_replace("\r\n", "\n", $change['was']) : '';
        $same = fn (string $one, string $other): bool => $one === $other || trim($one.$other) === '';
        if (! $same($has, $was) && ! $same($has, $now)) {
            return ['state' => 'clash', 'theirs' => $has];
        }
        $put($now);

        return ['state' => 'saved'];
    }

    /**
     * @throws InvalidInput
     */
    private function words(mixed $text): string
    {
        if (! is_string($text) || ! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidInput::at('text', 'is not text');
        }
        $text = str_replace("\r\n", "\n", $text);
        if (mb_strlen($text) > self::LONGEST) {
            throw InvalidInput::at(
                'text',
                'is not saved: it has '.number_format(mb_strlen($text)).' characters, and '.number_format(self::LONGEST)
                    .' are kept at most. It stays in this browser; shorten it, or put the rest into another comment',
            );
        }

        return $text;
    }

    /**
     * @param  array<array-key, mixed>  $change
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function note(Mark $stored, string $id, array $change): array
    {
        if (! Str::isUuid($id)) {
            throw InvalidInput::at($id, 'is no comment');
        }
        $now = is_array($change['now'] ?? null) ? $change['now'] : [];
        $note = MarkComment::query()->where('public_id', $id)->first();
        if ($note !== null && $note->mark_id !== $stored->id) {
            throw InvalidInput::at($id, 'belongs to another script');
        }
        $wanted = [
            'body' => $this->words($now['body'] ?? ''),
            'kind' => (
                CommentKind::tryFrom(is_string($now['kind'] ?? null) ? $now['kind'] : '') ?? CommentKind::usual()
            )->value,
            'criterion' => is_string($now['criterion'] ?? null)
                && $stored->rubric()->criterion($now['criterion']) !== null
                ? $now['criterion']
                : null,
            'anchor' => $this->anchor($stored, $now['anchor'] ?? null, $note),
            'starred' => ($now['starred'] ?? false) === true, 'gone' => ($now['gone'] ?? false) === true,
        ];
        if ($note === null) {
            if ($stored->comments()->whereNull('gone_at')->count() >= self::MOST_COMMENTS) {
                throw InvalidInput::at($id, 'is not saved: a script has '.self::MOST_COMMENTS.' comments at most');
            }
            $note = new MarkComment(['mark_id' => $stored->id]);
            $note->public_id = $id;
        } elseif ($note->content() != $wanted && ! $this->knew($note, $change['was'] ?? null)) {
            return ['state' => 'clash', 'theirs' => $note->content()];
        }
        if ($wanted['starred'] && ! $wanted['gone'] && ! $note->starred) {
            $this->refuseMoreStars($stored);
        }
        $bank = is_string($now['bank'] ?? null) && ! $note->exists
            ? BankComment::query()->where('public_id', $now['bank'])->first()
            : null;
        if ($bank !== null) {
            BankComment::query()->whereKey($bank->id)->increment('used');
            $note->bank_comment_id = $bank->id;
        }
        $note->fill(
            [
                'body' => $wanted['body'], 'kind' => $wanted['kind'], 'criterion' => $wanted['criterion'],
                'anchor' => $wanted['anchor'], 'starred' => $wanted['starred'] && ! $wanted['gone'],
                'gone_at' => $wanted['gone'] ? ($note->gone_at ?? now()) : null,
            ]
        )->save();
        $stored->lock_version++;

        return ['state' => 'saved'];
    }

    /**
     * @throws InvalidInput
     */
    private function refuseMoreStars(Mark $stored): void
    {
        if ($stored->comments()->whereNull('gone_at')->where('starred', true)->count() >= self::MOST_STARRED) {
            throw InvalidInput::at('starred', (string) __('mark.stars_full', ['most' => self::MOST_STARRED]));
        }
    }

    /** Whether the page knew the comment as it stands. */
    private function knew(MarkComment $note, mixed $was): bool
    {
        $has = $note->content();

        return is_array($was) && ($was['body'] ?? null) === $has['body'] && ($was['kind'] ?? null) === $has['kind']
            && ($was['criterion'] ?? null) === $has['criterion']
            && (bool) ($was['starred'] ?? false) === $has['starred'] && (bool) ($was['gone'] ?? false) === $has['gone'];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidInput
     */
    private function anchor(Mark $stored, mixed $asked, ?MarkComment $note): array
    {
        if (! is_array($asked)) {
            return $note->anchor ?? throw InvalidInput::at('anchor', 'says nowhere where the comment stands');
        }
        if ($note !== null && $asked == $note->anchor) {
            return $note->anchor;
        }
        if (isset($asked['page'])) {
            return PageAnchor::fromArray($asked)->toArray();
        }
        $text = ScriptText::of($stored->handin);
        $anchor = TextAnchor::fromArray($asked);
        // Where page and server count alike, the place is exact; otherwise the words and what surrounds them decide.
        if (mb_substr($text, $anchor->start, $anchor->end - $anchor->start) === $anchor->exact) {
            return TextAnchor::at($text, $anchor->start, $anchor->end)->toArray();
        }
        $place = $anchor->in($text) ?? throw InvalidInput::at('anchor', 'quotes words that are not in this script');

        return TextAnchor::at($text, ...$place)->toArray();
    }
}
