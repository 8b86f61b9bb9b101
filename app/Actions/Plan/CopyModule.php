<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Peers\SaveContribution;
use App\Actions\Peers\SaveRound;
use App\Actions\Reflect\SaveSheet;
use App\Enums\HandInBy;
use App\Enums\Role;
use App\Enums\RubricState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\GradeScale;
use App\Models\Membership;
use App\Models\Module;
use App\Models\ReflectionSheet;
use App\Models\Rubric;
use App\Models\RubricVersion;
use App\Models\User;
use App\Models\WritingBaseline;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Release\ModulePlan;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Copies a module for another year: rubrics, assignments and rounds of peer review with their dates moved by weeks, the
 * team's comment bank, grade bands, baselines and how its mark is made. Nobody's work and nobody's marks; of people
 * whoever copies it alone.
 */
final class CopyModule
{
    public function __construct(
        private readonly Logbook $logbook, private readonly CopyAssignment $copyAssignment,
        private readonly AddRubric $addRubric, private readonly MakeRubricReady $makeReady,
        private readonly SaveRound $saveRound, private readonly SaveContribution $saveContribution,
        private readonly SaveSheet $saveSheet,
    ) {
    }

    /**
     * @param  int  $weeks  by which dates move; times of the day stay, over changes of the clock too
     */
    public function __invoke(Module $from, string $code, string $title, int $weeks, User $by): Module
    {
        return DB::transaction(function () use ($from, $code, $title, $weeks, $by): Module {
            $to = Module::query()->create(['code' => $code, 'title' => $title, 'copied_from_id' => $from->id])
                ->refresh();
            Membership::query()->create(['module_id' => $to->id, 'user_id' => $by->id, 'role' => Role::Coordinator]);
            $this->logbook->write(
                Entry::of(LogEvent::ModuleMade)->on($to)->saying(copied_from: $from->fullTitle())->by($by)
            );
            GradeScale::query()->where('module_id', $from->id)->orderBy('id')->get()->each(
                fn (GradeScale $scale) => $scale->replicate(['public_id', 'lock_version'])
                    ->fill(['module_id' => $to->id])->save(),
            );
            $this->bank($from, $to, $by);
            $versions = $this->rubrics($from, $to, $by);
            $baselines = $this->baselines($from, $to);
            $new = [];
            foreach (
                $from->assignments()->with('templates', 'module')->orderBy('due_at')->orderBy('id')
                    ->get() as $assignment
            ) {
                $copy = ($this->copyAssignment)($assignment, $to);
                $copy->update([
                    ...$this->dates($assignment, $weeks),
                    'rubric_version_id' => $versions[(int) $assignment->rubric_version_id]
                        ?? $assignment->rubric_version_id,
                    'writing_baseline_id' => $baselines[(int) $assignment->writing_baseline_id] ?? null,
                ]);
                $this->rounds($assignment, $copy->refresh(), $weeks, $by);
                $this->contribution($assignment, $copy, $weeks, $by);
                $new[$assignment->public_id] = $copy->public_id;
            }
            foreach (ReflectionSheet::query()->where('module_id', $from->id)->orderBy('due_at')->get() as $sheet) {
                ($this->saveSheet)(
                    $to, null, $sheet->title, $sheet->settings, self::moved($sheet->due_at, $weeks), $by
                );
            }
            $to->update(['mark_plan' => $this->plan($from->mark_plan, $new)]);

            return $to;
        });
    }

    /** Rounds of peer review with their trial scripts: planned, and not yet shown. */
    private function rounds(Assignment $from, Assignment $to, int $weeks, User $by): void
    {
        foreach ($to->rubric_version_id === null ? [] : $from->rounds()->with('trials')->get() as $round) {
            $copy = ($this->saveRound)($to, null, $round->title, $round->settings, [
                'begins_at' => self::moved($round->begins_at, $weeks), 'due_at' => self::moved($round->due_at, $weeks),
                'answers_due_at' => $round->answers_due_at === null ? null : self::moved($round->answers_due_at, $weeks),
            ], $by);
            foreach ($round->trials as $trial) {
                // Marked by the rubric it was set by: the copy's is its newest version.
                if ($trial->rubric_version_id === $from->rubric_version_id) {
                    $trial->replicate(['public_id'])->fill([
                        'round_id' => $copy->id, 'rubric_version_id' => $to->rubric_version_id, 'made_by' => $by->id,
                    ])->save();
                }
            }
        }
    }

    private function contribution(Assignment $from, Assignment $to, int $weeks, User $by): void
    {
        $planned = $from->handin_by === HandInBy::GroupOneMark ? $from->contribution : null;
        $planned === null
            || ($this->saveContribution)($to, $planned->settings, self::moved($planned->due_at, $weeks), $by);
    }

    private static function moved(Carbon $at, int $weeks): Carbon
    {
        return $at->copy()->setTimezone(LocalTime::zone())->addWeeks($weeks)->utc();
    }

    /**
     * @return array<string, Carbon|null>
     */
    private function dates(Assignment $assignment, int $weeks): array
    {
        $moved = fn (?Carbon $at): ?Carbon => $at === null ? null : self::moved($at, $weeks);

        return [
            'opens_at' => $moved($assignment->opens_at), 'due_at' => $moved($assignment->due_at),
            'closes_at' => $moved($assignment->closes_at),
            'promised_on' => $assignment->promised_on?->copy()->addWeeks($weeks),
        ];
    }

    private function bank(Module $from, Module $to, User $by): void
    {
        foreach (BankSet::query()->where('module_id', $from->id)->orderBy('id')->get() as $set) {
            $copy = $set->replicate(['public_id'])->fill(['module_id' => $to->id, 'owner_id' => $by->id]);
            $copy->save();
            BankComment::query()->where('bank_set_id', $set->id)->orderBy('id')->get()->each(
                fn (BankComment $one) => $one->replicate(['public_id', 'used', 'lock_version'])
                    ->fill(['bank_set_id' => $copy->id])->save(),
            );
        }
    }

    /**
     * The newest version of each rubric that is ready; working copies as they are.
     *
     * @return array<int, int> the new version by each of the old ones
     */
    private function rubrics(Module $from, Module $to, User $by): array
    {
        $versions = [];
        foreach ($from->rubrics()->with('latestVersion')->orderBy('id')->get() as $rubric) {
            if ($rubric->state === RubricState::Retired) {
                continue;
            }
            $latest = $rubric->latestVersion;
            $copy = ($this->addRubric)(
                Draft::of(
                    $latest === null
                    || $rubric->state === RubricState::WorkingCopy ? $rubric->document : $latest->document
                ),
                $by, $to, "{$rubric->title}, {$from->fullTitle()}",
            );
            if ($latest === null) {
                continue;
            }
            $new = $rubric->state === RubricState::WorkingCopy
                ? $this->frozen($copy, $latest, $by)
                : ($this->makeReady)($copy, $copy->lock_version, $by);
            foreach (RubricVersion::query()->where('rubric_id', $rubric->id)->pluck('id') as $old) {
                $versions[(int) $old] = $new->id;
            }
        }

        return $versions;
    }

    /** The version that holds, of a rubric someone works on: the copy's work goes on beside it. */
    private function frozen(Rubric $copy, RubricVersion $latest, User $by): RubricVersion
    {
        return RubricVersion::query()->create([
            'rubric_id' => $copy->id, 'number' => 1, 'document' => $latest->document, 'hash' => $latest->hash,
            'made_by' => $by->id, 'created_at' => now(),
        ]);
    }

    /**
     * @return array<int, int> the new one by the old one
     */
    private function baselines(Module $from, Module $to): array
    {
        $new = [];
        foreach (WritingBaseline::query()->where('module_id', $from->id)->orderBy('id')->get() as $baseline) {
            $copy = $baseline->replicate(['public_id'])->fill(['module_id' => $to->id]);
            $copy->save();
            foreach ($baseline->texts()->orderBy('id')->get() as $text) {
                $text->replicate(['public_id'])->fill(['writing_baseline_id' => $copy->id])->save();
            }
            $new[$baseline->id] = $copy->id;
        }

        return $new;
    }

    /**
     * @param  array<string, string>  $new  assignments by the old ones
     */
    private function plan(ModulePlan $plan, array $new): ModulePlan
    {
        $document = $plan->toArray();
        $document['parts'] = array_map(function (array $part) use ($new): array {
            $part['of'] = array_map(fn (string $id) => $new[$id] ?? $id, $part['of']);
            $part['id'] = $new[$part['id']] ?? $part['id'];
            isset($part['resit']) && $part['resit']['of'] = $new[$part['resit']['of']] ?? $part['resit']['of'];

            return $part;
        }, $document['parts']);

        return ModulePlan::fromArray($document);
    }
}
