<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Enums\MailState;
use App\Enums\NoticeKind;
use App\Enums\ReviewState;
use App\Models\Assignment;
use App\Models\ConversationEntry;
use App\Models\Notice;
use App\Models\Release;
use App\Models\Review;
use App\Models\Script;
use App\Queries\Moderate\SignOff;
use App\Release\Eligible;
use App\Release\WhyResultsWait;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Release\ReadyCheck;

/**
 * What the release page shows of an assignment.
 */
final class ReadyPage
{
    public function __construct(private readonly SignOff $signOff, private readonly Absent $absent)
    {
    }

    /**
     * @return array<string, mixed>
     */
    public function of(Assignment $assignment): array
    {
        $scripts = $this->scripts($assignment->leavingOutWhatIsKnownByName());
        $standings = $scripts->mapWithKeys(fn (Script $script) => [$script->code => $script->standing])->all();
        $decimals = $assignment->rubricVersion?->toCore()->decimals ?? 1;
        $finals = $scripts->filter(fn (Script $script) => $script->leadScript()->settlement !== null)
            ->mapWithKeys(fn (Script $script) => [$script->code => $script->finalMark($decimals)]);
        $unsigned = $this->signOff->missing($assignment);
        $out = $scripts->filter(fn (Script $script) => $script->result !== null);

        return [
            'check' => ReadyCheck::of(
                $standings, $assignment->scheme->marksTwice(), $this->undecided($assignment, $scripts), $unsigned,
                $this->talks($scripts), $rounds = WhyResultsWait::openRounds($assignment),
            ),
            'scripts' => $scripts, 'standings' => $standings, 'finals' => $finals,
            'corrections' => $assignment->corrections()->toBase()->groupBy('state')->selectRaw('state, COUNT(*) AS n')
                ->pluck('n', 'state')->all(),
            'correctedSince' => $this->signOff->correctedSince($assignment),
            'below' => $this->below($assignment, $scripts, $finals),
            'ready' => $unsigned === [] && $rounds === []
                ? $scripts->filter(fn (Script $script) => Eligible::is($script, true))
                : new Collection,
            'reviews' => Review::query()->where('state', ReviewState::Received)
                ->whereIn('script_id', $assignment->scripts()->select('id'))->orderBy('answer_by')->get(),
            'leftOut' => $assignment->leavesOutWhatIsKnownByName(),
            'absent' => $this->absent->of($assignment)->count(),
            'sections' => Eligible::sections($assignment),
            'unopened' => $out->filter(fn (Script $script) => $script->result?->first_opened_at === null)->count(),
            'provisional' => $out->filter(fn (Script $script) => $script->result?->isProvisional() === true)->count(),
            'releases' => Release::query()->where('assignment_id', $assignment->id)->with(['maker', 'stopper'])
                ->latest('id')->get(),
            ...$this->mail($assignment),
        ];
    }

    /**
     * @return Collection<int, Script>
     */
    private function scripts(Assignment $assignment): Collection
    {
        return $assignment->scripts()->with([
            'marks', 'settlement', 'openCases',
            'result:id,public_id,script_id,version,mark,shown,band,provisional,confirmed_at,first_opened_at,seconds_open',
            'currentHandin:id,script_id,words,hidden_words,quoted_words,bibliography_words,due_at,received_at',
            'lead.marks', 'lead.settlement',
        ])->orderBy('code')->get()->each(fn (Script $script) => $script->setRelation('assignment', $assignment));
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @return list<string>|null codes of scripts of which no sample has been drawn; null where none is
     */
    private function undecided(Assignment $assignment, Collection $scripts): ?array
    {
        return $assignment->scheme->second !== SecondMarks::Sample
            ? null
            : array_values($scripts->filter(
                fn (Script $script) => $script->leadScript()->sampled === Sampled::Undecided,
            )->map(fn (Script $script) => $script->code)->all());
    }

    /**
     * Scripts of which a talk was found to be needed and nothing was written since.
     *
     * @param  Collection<int, Script>  $scripts
     * @return list<string>
     */
    private function talks(Collection $scripts): array
    {
        $last = ConversationEntry::query()->whereIn('script_id', $scripts->modelKeys())
            ->where('found', '<>', 'note')->orderBy('id')->toBase()->pluck('found', 'script_id');

        return array_values($scripts->filter(
            fn (Script $script) => $script->result === null && $last->get($script->id) === 'talk',
        )->map(fn (Script $script) => $script->code)->all());
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @param  \Illuminate\Support\Collection<string, FinalMark>  $finals
     * @return list<string> codes of those that pass as agreed and fail after what comes off
     */
    private function below(
        Assignment $assignment, Collection $scripts, \Illuminate\Support\Collection $finals,
    ): array {
        if ($assignment->release->feedbackOnly) {
            return [];
        }
        $byCode = $scripts->keyBy('code');

        return array_values($finals->filter(
            fn (FinalMark $final, string $code) => $assignment->scheme->losesThePass(
                $byCode->get($code)?->leadScript()->settlement?->toCore()->mark ?? $final->mark, $final->mark,
            ),
        )->keys()->all());
    }

    /**
     * @return array{mailFailed: Collection<int, Notice>, mailWaiting: int}
     */
    private function mail(Assignment $assignment): array
    {
        $mail = Notice::query()->where('assignment_id', $assignment->id)
            ->whereIn('kind', [NoticeKind::Result, NoticeKind::ResultReplaced]);

        return [
            'mailFailed' => (clone $mail)->where('mail', MailState::Failed)->get(['id', 'failure', 'tries', 'updated_at']),
            'mailWaiting' => $mail->whereIn('mail', [MailState::Waiting, MailState::Sending])->count(),
        ];
    }
}
