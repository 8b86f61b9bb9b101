<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Documents\ResultDocument;
use App\Enums\ReleaseState;
use App\Models\Assignment;
use App\Models\PreparedResult;
use App\Models\Release;
use App\Models\Script;
use App\Release\Eligible;
use App\Release\WhyResultsWait;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Lets a release go out: results are written one by one where nobody sees them, then all become visible in one step
 * ({@see LetOut}). May be killed anywhere and run again: what is written is not written twice, and nothing is half out.
 */
final class RunRelease
{
    /** Whoever has not said for so many seconds that they are at it is taken for lost. */
    public const PATIENCE = 60;

    private const AT_ONCE = 50;

    public function __construct(
        private readonly ResultDocument $document,
        private readonly LetOut $letOut,
        private readonly RefuseRelease $refuse,
        private readonly WhyResultsWait $why,
    ) {
    }

    public function __invoke(Release $release): void
    {
        if (! $this->begin($release) || ! $this->claim($release)) {
            return;
        }
        try {
            $this->write($release);
            ($this->letOut)($release);
        } catch (Throwable $e) {
            Release::query()->whereKey($release->id)->update(['beat_at' => null]); // for the next to take up at once
            throw $e;
        }
    }

    /** @return bool whether it is running now */
    private function begin(Release $release): bool
    {
        return DB::transaction(function () use ($release): bool {
            $assignment = Assignment::query()->lockForUpdate()->findOrFail($release->assignment_id);
            $stored = Release::query()->lockForUpdate()->findOrFail($release->id);
            if ($stored->state !== ReleaseState::Set) {
                return $stored->state === ReleaseState::Running;
            }
            if ($stored->due_at?->isFuture() ?? false) { // moved meanwhile
                return false;
            }
            $unsigned = $this->why->of($assignment);
            $ready = count(Eligible::ids($assignment, $stored->scope, $stored->with_marks));
            if ($unsigned !== null || $ready === 0) {
                ($this->refuse)($stored, $unsigned ?? 'no script was ready then.');

                return false;
            }
            $stored->update(['state' => ReleaseState::Running, 'chosen' => $ready]);

            return true;
        });
    }

    private function claim(Release $release): bool
    {
        return Release::query()->whereKey($release->id)->where('state', ReleaseState::Running)
            ->where(fn ($query) => $query->whereNull('beat_at')->orWhere(
                'beat_at', '<', now()->subSeconds(self::PATIENCE),
            ))->update(['beat_at' => now()]) === 1;
    }

    private function write(Release $release): void
    {
        $assignment = Assignment::query()->with('module')->findOrFail($release->assignment_id);
        $left = array_diff(
            Eligible::ids($assignment, $release->scope, $release->with_marks),
            PreparedResult::query()->where('release_id', $release->id)->pluck('script_id')->all(),
        );
        foreach (array_chunk($left, self::AT_ONCE) as $some) {
            foreach (Eligible::load($assignment, $some) as $script) {
                // Opened again since: left out when the release goes out, or taken up then.
                Eligible::is($script, $release->with_marks) && $this->writeOne($release, $script);
            }
            Release::query()->whereKey($release->id)->update(['beat_at' => now()]);
        }
    }

    private function writeOne(Release $release, Script $script): void
    {
        PreparedResult::query()->create([
            'release_id' => $release->id, 'script_id' => $script->id, 'public_id' => (new Release)->newUniqueId(),
            ...$this->document->of($script, $release->with_marks),
            'stamp' => $this->document->stamp($script),
        ]);
    }
}
