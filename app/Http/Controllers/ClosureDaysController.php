<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\SaveClosureDays;
use App\Models\ClosureDay;
use App\Models\Module;
use DateTimeImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * Days on which the institution is closed: lateness can leave them out, and extra days do not end on them.
 */
final class ClosureDaysController extends Controller
{
    private const MOST = 200;

    public function index(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view('modules.closure-days', ['module' => $module, 'lines' => $module->closureDays->map(fn (ClosureDay $day) => trim("{$day->day->format('Y-m-d')} {$day->name}"))->implode("\n")]);
    }

    public function store(Request $request, Module $module, SaveClosureDays $save): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $request->validate(['lines' => ['nullable', 'string', 'max:20000']]);
        $save($module, $this->days((string) $request->input('lines')), $this->person($request));

        return redirect()->route('closure-days.index', $module)->with('said', 'The closure days are kept, and due times follow them.');
    }

    /**
     * @return array<string, string> names by date
     *
     * @throws ValidationException naming each line that cannot be read
     */
    private function days(string $lines): array
    {
        $days = [];
        $faults = [];
        foreach (preg_split('/\R/u', $lines) ?: [] as $n => $line) {
            if (trim($line) === '') {
                continue;
            }
            $read = preg_match('/\A\s*(\d{4}-\d\d-\d\d)(?:\s*(?:to|–|-)\s*(\d{4}-\d\d-\d\d))?[\s,]*(.*?)\s*\z/u', $line, $match);
            $from = $read === 1 ? DateTimeImmutable::createFromFormat('!Y-m-d', $match[1]) : false;
            $to = $read !== 1 || $match[2] === '' ? $from : DateTimeImmutable::createFromFormat('!Y-m-d', $match[2]);
            if ($from === false || $to === false || $from->format('Y-m-d') !== $match[1] || $to < $from || $from->diff($to)->days > 60) {
                $faults[] = 'Line '.($n + 1).': write a day as 2026-12-25, or days as 2026-12-24 to 2027-01-01 (two months at most), and then a name.';

                continue;
            }
            for ($day = $from; $day <= $to; $day = $day->modify('+1 day')) {
                $days[$day->format('Y-m-d')] = mb_substr($match[3], 0, 80);
            }
        }
        if (count($days) > self::MOST) {
            $faults[] = 'There are '.count($days).' days; at most '.self::MOST.' are kept.';
        }

        return $faults === [] ? $days : throw ValidationException::withMessages(['lines' => ['Nothing was changed.', ...array_slice($faults, 0, 20)]]);
    }
}
