<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Collect\ChooseLeadScripts;
use App\Actions\Collect\ExpectScripts;
use App\Actions\Collect\SetDueTimes;
use App\Actions\Discuss\RecountParticipations;
use App\Actions\Screen\CompareWhatIsIn;
use App\Actions\Screen\MeasureAgain;
use App\Actions\Screen\StoreScreenings;
use App\Exceptions\Refused;
use App\Jobs\RecountReportsJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Module;
use App\Models\Post;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Discussion\Settings as Discussion;
use YoungHarbor\Core\Input\JsonForm;
use YoungHarbor\Core\Release\Settings as Release;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * Makes an assignment or changes one, without breaking what students were promised.
 */
final class SaveAssignment
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SetDueTimes $setDueTimes,
        private readonly ExpectScripts $expectScripts,
        private readonly CompareWhatIsIn $compare,
        private readonly MeasureAgain $measure,
        private readonly ChooseLeadScripts $leads,
        private readonly StoreScreenings $screenings,
        private readonly RecountParticipations $recount,
    ) {
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  int|null  $seen  the lock version the form was opened with; null for a new assignment
     *
     * @throws Refused
     */
    public function __invoke(Module $module, ?Assignment $assignment, array $fields, ?int $seen): Assignment
    {
        return DB::transaction(function () use ($module, $assignment, $fields, $seen): Assignment {
            if ($assignment === null) {
                $made = Assignment::query()
                    ->create(
                        [
                            'module_id' => $module->id,
                            'writing_detector_since' => ($fields['screening'] ?? Screening::usual())->detector
                                ? now()
                                : null,
                            ...$fields,
                        ]
                    )
                    ->refresh();
                $this->logbook->write(Entry::of(LogEvent::AssignmentMade)->on($made));

                return $made;
            }
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if ($stored->lock_version !== $seen) {
                throw new Refused(
                    'Someone else saved this assignment while you were changing it. Your words are still in the form; compare them with what is stored now, and save again.',
                    'lock_version',
                );
            }
            $stored->fill($fields);
            $this->refuseBrokenPromises($stored);
            $before = $assignment->fresh() ?? $assignment;
            $changed = array_keys($stored->getDirty());
            if ($changed !== []) {
                $stored->lock_version++;
                if ($stored->screening->detector !== $before->screening->detector) {
                    $stored->writing_detector_since = $stored->screening->detector ? now() : null;
                }
                $stored->save();
                if (in_array('handin_by', $changed, true)) {
                    ($this->leads)($stored);
                }
                $entry = Entry::of(LogEvent::AssignmentChanged)->on($stored)
                    ->with(changed: $this->fields($changed, $before, $stored));
                if (
                    array_intersect($changed, ['due_at', 'opens_at', 'closes_at', 'handin_by']) !== []
                    && $stored->isPublished()
                ) {
                    // Who joined after it had closed has a place when it opens once more.
                    in_array('closes_at', $changed, true) && ($this->expectScripts)($stored);
                    $entry->with(late_no_more: ($this->setDueTimes)($stored));
                }
                $stored->isDiscussion() && in_array('discussion', $changed, true) && ($this->recount)($stored);
                $this->logbook->write($entry);
                $this->screenAgain($before, $stored);
            }

            return $stored;
        });
    }

    /**
     * What was changed, by name; of a settings document its fields.
     *
     * @param  list<string>  $changed  columns
     * @return list<string>
     */
    private function fields(array $changed, Assignment $before, Assignment $after): array
    {
        $fields = [];
        foreach ($changed as $column) {
            $inside = match ($column) {
                'scheme' => self::inside($after->scheme, $before->scheme),
                'screening' => self::inside($after->screening, $before->screening),
                'release' => self::inside($after->release, $before->release),
                'observing' => self::inside($after->observing, $before->observing),
                'discussion' => self::inside($after->discussion, $before->discussion),
                default => null,
            };
            array_push(
                $fields,
                ...(
                    $inside === null
                        ? [$column]
                        : array_map(fn (string $field) => "{$column}: {$field}", $inside)
                ),
            );
        }

        return $fields;
    }

    /**
     * @return list<string> keys of a settings document whose values are others now
     */
    private static function inside(JsonForm $after, JsonForm $before): array
    {
        $old = $before->toArray();
        $changed = array_filter(
            $after->toArray(), fn (mixed $value, int|string $key) => $value !== ($old[$key] ?? null),
            ARRAY_FILTER_USE_BOTH,
        );

        return array_map(strval(...), array_keys($changed));
    }

    /**
     * Reports follow the settings: compared again when what is compared changes, worked out anew when only what counts
     * does; when only the lines move, so does what asks for a look.
     */
    private function screenAgain(Assignment $before, Assignment $stored): void
    {
        if ($stored->screening->comparesOther($before->screening) || $stored->brief !== $before->brief) {
            ($this->compare)($stored);
        } elseif ($stored->screening->countsOther($before->screening)) {
            RecountReportsJob::dispatch($stored->id)->afterCommit();
        }
        if ($stored->screening->drawsOther($before->screening)) {
            ($this->screenings)($stored->scripts()->pluck('id'));
        }
        $beside = $stored->writing_baseline_id !== $before->writing_baseline_id;
        if (
            $stored->writing_baseline_id !== null && ($beside || $stored->screening->measuresOther($before->screening))
        ) {
            ($this->measure)($stored->id);
        }
    }

    /**
     * @return list<string>|null
     */
    private function kindsBefore(Assignment $stored): ?array
    {
        $kinds = $stored->getOriginal('handin_kinds');

        return is_array($kinds) ? array_values($kinds) : null;
    }

    /** What those who wrote in a discussion relied on, and what was asked of them, holds. */
    private function refuseOtherTalk(Assignment $stored): void
    {
        $before = $stored->getOriginal('discussion');
        $after = $stored->discussion;
        if (! $before instanceof Discussion || ! $stored->isDirty('discussion')) {
            return;
        }
        foreach (['posts' => 'discuss_posts', 'replies' => 'discuss_replies', 'words' => 'discuss_words'] as $key => $field) {
            $after->{$key} > $before->{$key} && throw new Refused(
                'Students were told how much is asked for. Less can be asked for, not more.', $field,
            );
        }
        if (! Post::query()->whereIn('topic_id', $stored->topics()->select('id'))->exists()) {
            return;
        }
        $after->audience === $before->audience || throw new Refused(
            'Students have written here, each to those who were there to read it. Who talks with whom can no longer change.',
            'discuss_audience',
        );
        $after->names && ! $before->names && throw new Refused(
            'Students have written here under codes. Their names can no longer be shown to each other.', 'discuss_names',
        );
    }

    private function refuseBrokenPromises(Assignment $stored): void
    {
        if (! $stored->isPublished()) {
            return;
        }
        $stored->isDiscussion() && $this->refuseOtherTalk($stored);
        if ($stored->isDirty('rubric_version_id')) {
            throw new Refused('Students can already see this rubric, so another cannot take its place.', 'rubric');
        }
        $before = $stored->getOriginal('due_at');
        if ($stored->due_at === null || ($before !== null && $stored->due_at->lt($before))) {
            throw new Refused('Students were promised the due time; it can be moved later, not earlier.', 'due_at');
        }
        foreach (['late_rule' => 'late_take', 'length_rule' => 'word_limit', 'cap' => 'cap'] as $column => $field) {
            if ($stored->isDirty($column) && $stored->{$column} !== null) {
                throw new Refused(
                    'Students were told what late or long work costs and what a resit can give. Once it is open to them that can be dropped, not made stricter or changed.',
                    $field,
                );
            }
        }
        if ($stored->scripts()->whereNotNull('current_handin_id')->exists()) {
            if ($stored->isDirty('handin_by')) {
                throw new Refused(
                    'Work has come in, so who hands in and who gets a mark for it can no longer change.', 'handin_by',
                );
            }
            $before = (new Assignment)->forceFill(['handin_kinds' => $this->kindsBefore($stored)]);
            $lost = array_udiff($before->fileKinds(), $stored->fileKinds(), fn ($a, $b) => $a->value <=> $b->value);
            if (
                $lost !== [] || ($before->takesTyped() && ! $stored->takesTyped())
                || $stored->max_megabytes < (int) $stored->getOriginal('max_megabytes')
                || $stored->max_files < (int) $stored->getOriginal('max_files')
            ) {
                throw new Refused(
                    'Work has come in under these kinds and sizes of files; more can be allowed, not fewer or smaller.',
                    'kinds',
                );
            }
        }
        $handedOut = $stored->scripts()->whereHas('marks')->exists();
        $release = $stored->getOriginal('release');
        $feedback = $release instanceof Release ? $release->feedbackOnly : false;
        if ($stored->results_out_at !== null && $release instanceof Release
            && $release->signatures !== $stored->release->signatures) {
            throw new Refused('Results are out, so whose signature they wait for can no longer change.', 'signatures');
        }
        if ($handedOut && ($stored->isDirty(['scheme', 'bands']) || $stored->release->feedbackOnly !== $feedback)) {
            throw new Refused(
                'Scripts are with markers; whether they get marks, how marks settle and which bands they fall in can no longer change.',
                'settle_rule',
            );
        }
    }
}
