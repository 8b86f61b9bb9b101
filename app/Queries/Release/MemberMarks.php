<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Models\Membership;
use App\Release\ModuleMarks;
use App\Wording\ModuleMarkWords;
use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Release\ModuleMark;
use YoungHarbor\Core\Release\ModulePart;

/**
 * One student's module mark with its working, and what is still needed for another.
 */
final class MemberMarks
{
    public function __construct(private readonly ModuleMarks $marks)
    {
    }

    /**
     * @param  string  $target  as someone wrote it; the pass mark where it is no mark
     * @return array{mark: ModuleMark|null, why: string, band: string, target: string, needed: string, isOpen: bool, must: list<string>, bar: list<array{x: float, width: float, missing: bool, title: string}>, ticks: list<float>}|null null where the module makes no mark
     */
    public function of(Membership $member, string $target): ?array
    {
        $plan = $member->module->mark_plan;
        if ($plan->parts === []) {
            return null;
        }
        ['marks' => $marks, 'exempt' => $exempt] = $this->marks->inputs($member->module, $member->user_id);
        try {
            $wanted = BigDecimal::of($target);
            $wanted = $wanted->isNegative() || $wanted->isGreaterThan(100) ? $plan->pass : $wanted;
        } catch (MathException) {
            $wanted = $plan->pass;
        }
        $found = ['why' => '', 'mark' => null, 'band' => '', 'target' => Figure::plain($wanted), 'needed' => '', 'isOpen' => false, 'must' => [],
            'bar' => [], 'ticks' => array_map(fn ($one) => $one->toFloat(), [...$plan->bands->boundaries()])];
        try {
            $mark = $plan->mark($marks, $exempt);
            $titles = $member->module->assignments()->pluck('title', 'public_id')->map(fn (mixed $one) => (string) $one)->all();
            $left = $plan->needed($marks, $exempt, $wanted);
            $needed = ModuleMarkWords::needed($left, Figure::plain($wanted), $titles);
        } catch (InvalidInput $e) {
            return ['why' => $e->getMessage()] + $found;
        }

        return [
            'mark' => $mark, 'band' => $plan->bands->bandFor($mark->mark)->name, 'needed' => $needed,
            'isOpen' => $left !== null,
            'must' => array_values(array_map(
                fn (ModulePart $part) => "{$part->title}: ".__(
                    'module-mark.must', ['mark' => Figure::plain($part->mustPass ?? $plan->pass)],
                ),
                array_filter($mark->parts, fn (ModulePart $part) => ! $part->passes()),
            )),
            'bar' => $this->bar($mark),
        ] + $found;
    }

    /**
     * What each part adds, one after the other; then what is still open, in outline.
     *
     * @return list<array{x: float, width: float, missing: bool, title: string}> in marks of 100
     */
    private function bar(ModuleMark $mark): array
    {
        $bar = [];
        $x = 0.0;
        foreach ([false, true] as $missing) {
            foreach ($mark->parts as $part) {
                $width = $missing
                    ? ($part->isMissing() ? $mark->weightOf($part)->minus($mark->shareOf($part))->toFloat() : 0.0)
                    : $mark->shareOf($part)->toFloat();
                if (! $part->isExempt() && $width > 0.0) {
                    $bar[] = ['x' => $x, 'width' => $width, 'missing' => $missing, 'title' => $part->title];
                    $x += $width;
                }
            }
        }

        return $bar;
    }
}
