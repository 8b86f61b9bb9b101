<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * The parts of a module with one student's marks, as JSON, and the module mark that comes of them with its working.
 */
final class ModuleMarkJson
{
    private const MOST_OF = 200;

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array<string, mixed>
     *
     * @throws InvalidInput naming each fault with its place
     */
    public static function answer(array $asked): array
    {
        $in = new Document;
        $in->onlyKeys($asked, ['decimals', 'pass', 'parts']);
        $asked += ['decimals' => 0, 'pass' => '40'];
        $decimals = max(0, min(3, $in->whole($asked, 'decimals', 'decimals', 0, 3)));
        $pass = $in->decimalWithin($asked, 'pass', 'pass', 0, 100);
        $parts = $ids = [];
        foreach ($in->rows($asked, 'parts', 'parts', ModulePlan::MOST_PARTS) as $i => $row) {
            $part = self::part($row, "parts[{$i}]", $in);
            isset($ids[$part->id]) && $in->fault("parts[{$i}].id", "stands twice: \"{$part->id}\"");
            $ids[$part->id] = true;
            $parts[] = $part;
        }
        $parts === [] && $in->fault('parts', 'there is no part');
        $parts === [] || ModulePlan::checkWeights(
            array_map(fn (ModulePart $part) => [$part->weight, $part->mustPass], $parts), $in,
        );
        $in->throwFaults();
        $found = ModuleMark::of($parts, $decimals, $pass);

        return [
            'mark' => (string) $found->mark, 'passed' => $found->passed, 'complete' => $found->isComplete(),
            'missing' => $found->missing, 'not_passed' => $found->notPassed,
            'working' => [
                ...array_map(fn (ModulePart $part) => [
                    'part' => $part->id, 'mark' => $part->isExempt() ? null : Figure::cut($part->mark()),
                    'weight' => Figure::cut($found->weightOf($part)),
                    'share' => $part->isExempt() ? null : Figure::cut($found->shareOf($part)),
                ], $parts),
                ...($found->isRounded() ? [['step' => 'rounded', 'value' => (string) $found->mark]] : []),
            ],
        ];
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function part(array $row, string $place, Document $in): ModulePart
    {
        $known = ['id', 'weight', 'mark', 'exempt', 'must_pass', 'best', 'of', 'resit'];
        $in->onlyKeys($row, $known, $place);
        $isList = isset($row['best']) || isset($row['of']);
        $isList && isset($row['mark']) && $in->fault("{$place}.mark", 'stands beside a list of marks: one or the other');
        $exempt = $in->flag($row + ['exempt' => false], 'exempt', "{$place}.exempt", false);
        $best = $isList ? $in->whole($row, 'best', "{$place}.best", 1, self::MOST_OF) : null;
        $marks = $isList
            ? self::listed($row, $place, $exempt, $in)
            : [new ListedMark('', self::mark($row, "{$place}.mark", $in), $exempt)];
        if ($best !== null) {
            $left = count(array_filter($marks, fn (ListedMark $one) => ! $one->isExempt));
            match (true) {
                $best > count($marks) => $in->fault(
                    "{$place}.best", "{$best} of ".count($marks).' is more than there are',
                ),
                $left > 0 && $best > $left => $in->fault(
                    "{$place}.best", "{$best} of {$left}: exemption leaves fewer than count",
                ),
                default => null,
            };
        }
        $resit = isset($row['resit']) ? $in->map($row, 'resit', "{$place}.resit") : null;
        $resit === null || $in->onlyKeys($resit, ['mark', 'cap'], "{$place}.resit");
        $id = $in->text($row, 'id', "{$place}.id", 100, true);

        return new ModulePart(
            $id, $id, $in->decimalWithin($row, 'weight', "{$place}.weight", 0, 100), $marks, $best,
            isset($row['must_pass']) ? $in->decimalWithin($row, 'must_pass', "{$place}.must_pass", 0, 100) : null,
            $resit === null ? null : new ResitMark(
                self::mark($resit, "{$place}.resit.mark", $in),
                isset($resit['cap']) ? $in->decimalWithin($resit, 'cap', "{$place}.resit.cap", 0, 100) : null,
            ),
        );
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return list<ListedMark>
     */
    private static function listed(array $row, string $place, bool $allExempt, Document $in): array
    {
        $marks = [];
        foreach ($in->rows($row, 'of', "{$place}.of", self::MOST_OF) as $n => $one) {
            $at = "{$place}.of[{$n}]";
            $in->onlyKeys($one, ['id', 'mark', 'exempt'], $at);
            $marks[] = new ListedMark(
                $in->text($one, 'id', "{$at}.id", 100), self::mark($one, "{$at}.mark", $in),
                $in->flag($one + ['exempt' => false], 'exempt', "{$at}.exempt", false) || $allExempt,
            );
        }
        $marks === [] && $in->fault("{$place}.of", 'there is no mark in the list');

        return $marks;
    }

    /**
     * @param  array<array-key, mixed>  $row
     */
    private static function mark(array $row, string $place, Document $in): ?BigDecimal
    {
        return isset($row['mark']) ? $in->decimalWithin($row, 'mark', $place, 0, 100) : null;
    }
}
