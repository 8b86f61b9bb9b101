<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Enums\Part;
use App\Exceptions\Refused;
use App\Logbook\Logbook;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Allocation\EvenPlan;

/**
 * Works out who marks which script, and gives the scripts out. Scripts already with a marker stay where they are.
 */
final class ApplyPlan
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  list<User>  $markers
     */
    public function plan(Assignment $assignment, array $markers, int $seed): EvenPlan
    {
        $scripts = $this->open($assignment)->orderBy('code')->pluck('code')->all();
        $loads = fn (Part $part): array => Mark::query()
            ->join('users', 'users.id', '=', 'marks.marker_id')
            ->join('scripts', 'scripts.id', '=', 'marks.script_id')
            ->where('scripts.assignment_id', $assignment->id)->where('marks.part', $part)
            ->groupBy('users.public_id')->selectRaw('users.public_id AS marker, COUNT(*) AS given')->pluck('given', 'marker')->map(fn ($n) => (int) $n)->all();

        return EvenPlan::make(
            array_values($scripts),
            array_map(fn (User $marker) => $marker->public_id, $markers),
            $assignment->second_marking,
            $seed,
            $loads(Part::First),
            $loads(Part::Second),
        );
    }

    /**
     * @param  list<User>  $markers
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, array $markers, int $seed): int
    {
        return DB::transaction(function () use ($assignment, $markers, $seed): int {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if (! $stored->isPastDue()) {
                throw new Refused('Scripts can still change until the due time; share them out after it.');
            }
            $plan = $this->plan($stored, $markers, $seed);
            if ($plan->pairings === []) {
                throw new Refused('Every script that has been handed in is with a marker already.');
            }
            $ids = [];
            foreach ($markers as $marker) {
                $ids[$marker->public_id] = $marker->id;
            }
            $stored->forceFill(['shared_out_at' => $stored->shared_out_at ?? now()])->save();
            $scripts = $this->open($stored)->get()->keyBy('code');
            foreach ($plan->pairings as $pairing) {
                $script = $scripts[$pairing->script];
                $this->give($stored, $script, Part::First, $ids[$pairing->first]);
                if ($pairing->second !== null) {
                    $this->give($stored, $script, Part::Second, $ids[$pairing->second]);
                }
            }
            $this->logbook->write('shared out scripts', $stored->title, ['scripts' => count($plan->pairings), 'markers' => count($markers), 'seed' => $seed], null, $stored);

            return count($plan->pairings);
        });
    }

    /**
     * @return Builder<Script>
     */
    private function open(Assignment $assignment): Builder
    {
        return Script::query()->where('assignment_id', $assignment->id)->whereNotNull('current_handin_id')->whereNull('lead_id')->whereDoesntHave('marks');
    }

    private function give(Assignment $assignment, Script $script, Part $part, int $markerId): void
    {
        Mark::query()->create([
            'script_id' => $script->id, 'part' => $part, 'marker_id' => $markerId,
            'rubric_version_id' => $assignment->rubric_version_id, 'handin_id' => $script->current_handin_id,
            'choices' => [], 'general_comment' => '',
        ]);
    }
}
