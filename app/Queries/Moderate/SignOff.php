<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

use App\Enums\PackReader;
use App\Enums\PackState;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\AssignmentModerator;
use App\Models\Correction;
use App\Models\Membership;
use App\Models\SamplePack;
use App\Models\User;
use App\Queries\NameOrder;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Release\Signature;

/**
 * Who signs for an assignment, and whose signature is missing.
 */
final class SignOff
{
    /**
     * @return Collection<int, Membership> who may be chosen to moderate
     */
    public function team(Assignment $assignment): Collection
    {
        return $assignment->module->members()->with('user')->whereIn('role', [Role::Tutor, Role::Coordinator])->get()
            ->sortBy(fn (Membership $member) => NameOrder::key($member->user->name))->values();
    }

    /**
     * @return Collection<int, User>
     */
    public function moderators(Assignment $assignment): Collection
    {
        return User::query()->whereIn(
            'id', AssignmentModerator::query()->where('assignment_id', $assignment->id)->select('user_id'),
        )->orderBy('name')->get();
    }

    /**
     * @return array<string, string> "moderator:…" or "examiner:…" with the person's public id, and what it is called
     */
    public function readers(Assignment $assignment): array
    {
        $readers = [];
        foreach ($this->moderators($assignment) as $person) {
            $readers[PackReader::Moderator->value.':'.$person->public_id] = $person->name.', moderator';
        }
        foreach ($assignment->module->members()->with('user')->where('role', Role::Examiner)->get() as $member) {
            $readers[PackReader::Examiner->value.':'.$member->user->public_id] = $member->user->name.', external examiner';
        }

        return $readers;
    }

    /**
     * @return array{PackReader, User}|null
     */
    public function reader(Assignment $assignment, string $key): ?array
    {
        [$kind, $person] = [...explode(':', $key, 2), ''];
        $reader = PackReader::tryFrom($kind);
        $user = isset($this->readers($assignment)[$key]) ? User::query()->where('public_id', $person)->first() : null;

        return $reader === null || $user === null ? null : [$reader, $user];
    }

    /**
     * How many signatures are missing, of several assignments in one query.
     *
     * @param  iterable<Assignment>  $assignments
     * @return array<int, int> by assignment; those that wait for none are left out
     */
    public function missingOf(iterable $assignments): array
    {
        $asking = collect($assignments)->filter(fn (Assignment $one) => $one->release->signatures !== [])->keyBy('id');
        $signed = $asking->isEmpty() ? [] : SamplePack::query()->whereIn('assignment_id', $asking->keys())
            ->where('state', PackState::Signed)->get(['assignment_id', 'reader'])
            ->groupBy('assignment_id')->map(fn (Collection $packs) => $packs->pluck('reader')
            ->map(fn (PackReader $reader) => $reader->value)->unique()->all())->all();

        return $asking->map(fn (Assignment $one) => count(array_filter(
            $one->release->signatures, fn (Signature $by) => ! in_array($by->value, $signed[$one->id] ?? [], true),
        )))->filter()->all();
    }

    /** Whose signatures results still wait for, in words; null where none is missing. */
    public function whyUnsigned(Assignment $assignment): ?string
    {
        $missing = $this->missing($assignment);

        return $missing === [] ? null : 'results of this assignment wait for '.implode(
            ' and ', array_map(fn (Signature $one) => __("release.signature.{$one->value}"), $missing),
        ).' signature.';
    }

    /**
     * Corrections of marks that were approved after someone signed: what they signed for reads otherwise.
     *
     * @return array<string, int> by the kind of reader
     */
    public function correctedSince(Assignment $assignment): array
    {
        $approved = array_map(fn (Correction $one) => $one->decided_at, $assignment->approvedCorrections());
        $since = [];
        foreach (
            SamplePack::query()->where('assignment_id', $assignment->id)->where('state', PackState::Signed)->get() as $pack
        ) {
            $n = count(array_filter($approved, fn ($at) => $at !== null && $pack->signed_at?->lte($at)));
            $n === 0 || $since[$pack->reader->value] = max($n, $since[$pack->reader->value] ?? 0);
        }

        return $since;
    }

    /**
     * Signatures the assignment asks for that are not there.
     *
     * @return list<Signature>
     */
    public function missing(Assignment $assignment): array
    {
        $wanted = $assignment->release->signatures;
        if ($wanted === []) {
            return [];
        }
        $signed = SamplePack::query()->where('assignment_id', $assignment->id)->where('state', PackState::Signed)
            ->pluck('reader')->map(fn (PackReader $reader) => $reader->value)->all();

        return array_values(array_filter($wanted, fn (Signature $one) => ! in_array($one->value, $signed, true)));
    }
}
