<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Text\ReadingEase;

/**
 * Checks that help someone who writes a rubric. They are advice and never keep it from being ready.
 */
final class Advice
{
    /** Descriptors that share this much of their words are nearly the same. */
    private const NEARLY = 0.85;

    /** Below this reading ease descriptors are harder than most journal articles. */
    private const HARD = 10.0;

    /**
     * @param  Rubric|null  $rubric  the rubric the draft makes; null while it makes none, when only its words are looked at
     * @return list<AdviceItem>
     */
    public static function on(Draft $draft, ?Rubric $rubric): array
    {
        $remarks = [];
        foreach ($draft->criteria() as $criterion) {
            array_push($remarks, ...self::onCriterion($draft, $criterion));
        }

        return $rubric === null ? $remarks : [...$remarks, ...self::onWeights($rubric), ...self::onReach($rubric)];
    }

    /**
     * @param  array<array-key, mixed>  $criterion
     * @return list<AdviceItem>
     */
    private static function onCriterion(Draft $draft, array $criterion): array
    {
        $id = is_string($criterion['id']) ? $criterion['id'] : '';
        $title = is_string($criterion['title'] ?? null) ? trim($criterion['title']) : '';
        $remarks = [];
        if (preg_match('/\s(and|&)\s|\w\s*\/\s*\w/i', $title) === 1) {
            $remarks[] = new AdviceItem(
                $id, "“{$title}” asks for two things; a script that does one well and the other badly fits no level.",
            );
        }
        if (Draft::kindOf($criterion) !== CriterionKind::Levels) {
            return $remarks;
        }
        $used = array_values(
            array_filter(
                $draft->levelsOf($criterion),
                fn (array $level) => ! is_array($criterion['unused'] ?? null)
                    || ! in_array($level['id'], $criterion['unused'], true),
            )
        );
        $named = $title === '' ? 'A criterion without a title' : "“{$title}”";
        $text = array_map(fn (array $level) => trim(self::in($criterion, 'descriptors', $level)), $used);
        $words = array_map(self::wordCounts(...), $text);
        $points = [];
        $empty = count(array_filter($text, fn (string $descriptor) => $descriptor === ''));
        foreach ($used as $i => $level) {
            $next = $used[$i + 1] ?? null;
            $alike = $next === null ? 0.0 : self::likeness($words[$i], $words[$i + 1]);
            if ($next !== null && $alike >= self::NEARLY) {
                $remarks[] = new AdviceItem(
                    $id,
                    "{$named}: the descriptors of “{$draft->titleOf($level)}” and “{$draft->titleOf($next)}” are ".(
                        $alike === 1.0 ? 'the same.' : 'nearly the same; say what tells them apart.'
                    ),
                );
            }
            $own = self::in($criterion, 'overrides', $level);
            $points[$own === '' ? Draft::pointsText($level) : $own][] = '“'.$draft->titleOf($level).'”';
        }
        foreach ($points as $value => $levels) {
            if ($value !== '' && count($levels) > 1) {
                $remarks[] = new AdviceItem(
                    $id,
                    "{$named}: ".implode(' and ', $levels)
                        ." both give {$value} points, so choosing between them changes nothing.",
                );
            }
        }
        if ($title !== '' && $empty > 0) {
            $remarks[] = new AdviceItem(
                $id,
                "{$named}: {$empty} of its ".count($used).' levels '.($empty === 1 ? 'has' : 'have').' no descriptor.',
            );
        }
        $ease = ReadingEase::of(implode("\n", $text));
        if ($ease !== null && $ease < self::HARD) {
            $remarks[] = new AdviceItem(
                $id,
                "{$named}: the descriptors are hard to read (reading ease ".number_format($ease, 0)
                    .', where 60 is plain English). Shorter sentences and shorter words help markers agree.',
            );
        }

        return $remarks;
    }

    /**
     * @param  array<array-key, mixed>  $criterion
     * @param  array{id: string, ...}  $level
     */
    private static function in(array $criterion, string $field, array $level): string
    {
        $cell = is_array($criterion[$field] ?? null) ? $criterion[$field][$level['id']] ?? '' : '';

        return is_string($cell) ? $cell : '';
    }

    /**
     * Shared words as a share of all, order not counted: 2 × common ÷ (words of both), the Dice coefficient.
     *
     * @param  array<string, int>  $first  how often each word stands in the one
     * @param  array<string, int>  $second  and in the other
     */
    private static function likeness(array $first, array $second): float
    {
        $common = 0;
        foreach ($first as $word => $times) {
            $common += min($times, $second[$word] ?? 0);
        }
        $all = array_sum($first) + array_sum($second);

        return $all === 0 ? 0.0 : 2 * $common / $all;
    }

    /**
     * @return array<string, int>
     */
    private static function wordCounts(string $text): array
    {
        preg_match_all('/[\p{L}\p{M}\p{N}]+/u', mb_strtolower($text), $matches);

        return array_count_values($matches[0]);
    }

    /**
     * @return list<AdviceItem>
     */
    private static function onWeights(Rubric $rubric): array
    {
        $largest = BigRational::zero();
        $steep = null;
        foreach ($rubric->scored() as $criterion) {
            $step = self::largestStep($criterion)->toBigRational()->multipliedBy($rubric->share($criterion))
                ->dividedBy($criterion->max());
            if ($step->isGreaterThan($largest)) {
                [$largest, $steep] = [$step, $criterion];
            }
        }
        $remarks = [];
        foreach ($rubric->weighting === Weighting::Percent ? $rubric->scored() : [] as $criterion) {
            if ($criterion instanceof LevelCriterion && $criterion->stopsShort()) {
                $most = Figure::plain($criterion->max());
                $remarks[] = new AdviceItem(
                    $criterion->id(),
                    "“{$criterion->title()}”: its highest level has {$most} points, and counts as 100 % of the criterion. If {$most} is meant as {$most} of 100, add a level of 100.",
                );
            }
        }
        foreach ($rubric->scored() as $criterion) {
            if (
                $steep !== null && $criterion !== $steep
                && $rubric->share($criterion)->toBigRational()->isLessThan($largest)
            ) {
                $remarks[] = new AdviceItem(
                    $criterion->id(),
                    "One level of “{$steep->title()}” (up to ".Figure::shown($largest, 1)
                        ." of the mark) outweighs all of “{$criterion->title()}” ("
                        .Figure::plain($rubric->share($criterion)).').',
                );
            }
        }

        return $remarks;
    }

    private static function largestStep(Criterion $criterion): BigDecimal
    {
        if (! $criterion instanceof LevelCriterion) {
            return BigDecimal::zero();
        }
        $largest = BigDecimal::zero();
        $usable = $criterion->usable();
        foreach (array_slice($usable, 1) as $i => $level) {
            $largest = BigDecimal::max($largest, $level->points->minus($usable[$i]->highest()));
        }

        return $largest;
    }

    /**
     * @return list<AdviceItem>
     */
    private static function onReach(Rubric $rubric): array
    {
        $remarks = [];
        $least = BigRational::zero();
        foreach ($rubric->scored() as $criterion) {
            if ($criterion instanceof ScaleCriterion && ! $criterion->isOnStep($criterion->highest)) {
                $remarks[] = new AdviceItem(
                    $criterion->id(),
                    "“{$criterion->title()}”: steps of ".Figure::plain($criterion->step).' from '
                        .Figure::plain($criterion->min).' never meet the highest, '.Figure::plain($criterion->highest)
                        .', so the full mark cannot be reached.',
                );
            }
            $lowest = match (true) {
                $criterion instanceof LevelCriterion => $criterion->usable()[0]->points,
                $criterion instanceof ScaleCriterion => $criterion->min,
                default => BigDecimal::zero(),
            };
            $least = $least->plus(
                $lowest->toBigRational()->multipliedBy($rubric->share($criterion))->dividedBy($criterion->max())
            );
        }
        if ($least->isPositive()) {
            $remarks[] = new AdviceItem(
                null, 'No script can get less than '.Figure::shown($least, 1).': the lowest levels all give points.',
            );
        }

        return $remarks;
    }
}
