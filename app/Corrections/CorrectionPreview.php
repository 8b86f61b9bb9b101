<?php

declare(strict_types=1);

namespace App\Corrections;

use App\Models\Assignment;
use App\Models\Correction;
use App\Models\Script;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Marks\ScaledMarks;

/**
 * What corrections do to the marks of an assignment as they are agreed now, script by script.
 */
final readonly class CorrectionPreview
{
    /**
     * @param  list<array{code: string, before: FinalMark, after: FinalMark, clipped: bool, moved: bool, released: bool, crosses: int}>  $scripts  crosses: 1 up over the pass line, −1 down, 0 neither
     */
    private function __construct(public array $scripts, public int $open, public bool $orderKept)
    {
    }

    /**
     * @param  list<Correction>  $before  approved ones
     * @param  list<Correction>  $after  those and the one that is asked about, or without one that is taken back
     */
    public static function of(Assignment $assignment, array $before, array $after): self
    {
        $decimals = $assignment->rubricVersion?->toCore()->decimals ?? 1;
        $scripts = self::scripts($assignment->leavingOutWhatIsKnownByName());
        $rows = $order = [];
        foreach ($scripts as $script) {
            $settlement = $script->leadScript()->settlement;
            if ($settlement === null) {
                continue;
            }
            $old = $script->finalMark($decimals, $before);
            $new = $script->finalMark($decimals, $after);
            $settled = $settlement->toCore()->mark;
            [$from] = self::corrected($settled, $script, $before);
            [$to, $clipped] = self::corrected($settled, $script, $after);
            $order[] = [$from, $to];
            $pass = $assignment->scheme->passMark;
            $rows[] = [
                'code' => $script->code, 'before' => $old, 'after' => $new, 'clipped' => $clipped,
                'moved' => ! $from->isEqualTo($to), 'released' => $script->standing === Standing::Released,
                'crosses' => ($new->mark->isGreaterThanOrEqualTo($pass) ? 1 : 0)
                    - ($old->mark->isGreaterThanOrEqualTo($pass) ? 1 : 0),
            ];
        }

        return new self(
            $rows, $scripts->filter(fn (Script $one) => $one->leadScript()->settlement === null
                && $one->current_handin_id !== null)->count(),
            ScaledMarks::keepsOrder($order),
        );
    }

    /** What is seen now, so that something else is not approved. */
    public function digest(): string
    {
        return hash('sha256', (string) json_encode(array_map(
            fn (array $one) => [$one['code'], (string) $one['before']->mark, (string) $one['after']->mark],
            $this->scripts,
        )));
    }

    /**
     * @return list<array{code: string, before: FinalMark, after: FinalMark, clipped: bool, moved: bool, released: bool, crosses: int}>
     */
    public function moved(): array
    {
        return array_values(array_filter($this->scripts, fn (array $one) => $one['moved']));
    }

    /**
     * Those and the ones that would be moved but for the end of the scale.
     *
     * @return list<array{code: string, before: FinalMark, after: FinalMark, clipped: bool, moved: bool, released: bool, crosses: int}>
     */
    public function touched(): array
    {
        return array_values(array_filter($this->scripts, fn (array $one) => $one['moved'] || $one['clipped']));
    }

    public function released(): int
    {
        return count(array_filter($this->moved(), fn (array $one) => $one['released']));
    }

    /**
     * How many results lie in each band, before and after.
     *
     * @return array<string, array{before: int, after: int}>
     */
    public function bands(Assignment $assignment): array
    {
        $counts = [];
        $in = fn (string $when, string $band): int => count(array_filter(
            $this->scripts,
            fn (array $one) => ($when === 'before' ? $one['before'] : $one['after'])->band->name === $band,
        ));
        foreach ($assignment->scale()->bands as $band) {
            $counts[$band->name] = ['before' => $in('before', $band->name), 'after' => $in('after', $band->name)];
        }

        return $counts;
    }

    /**
     * @param  list<Correction>  $corrections
     * @return array{BigRational, bool} and whether it was clipped on the way
     */
    private static function corrected(BigRational $mark, Script $script, array $corrections): array
    {
        $clipped = false;
        foreach ($corrections as $one) {
            if ($one->moves($script)) {
                $core = $one->toCore();
                $clipped = $clipped || ! $core->scaling->of($mark)->isEqualTo($core->of($mark));
                $mark = $core->of($mark);
            }
        }

        return [$mark, $clipped];
    }

    /**
     * @return Collection<int, Script>
     */
    private static function scripts(Assignment $assignment): Collection
    {
        $scripts = $assignment->scripts()->with([
            'marks:id,script_id,seat,counts,marker_id', 'settlement', 'openCases',
            'currentHandin:id,script_id,words,hidden_words,quoted_words,bibliography_words,due_at,received_at',
            'lead.marks:id,script_id,seat,counts,marker_id', 'lead.settlement',
        ])->orderBy('code')->get();
        $scripts->each(fn (Script $one) => $one->setRelation('assignment', $assignment));

        return $scripts;
    }
}
