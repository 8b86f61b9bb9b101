<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Logbook\Entry;
use App\Logbook\Excerpt;
use App\Logbook\Logbook;
use App\Logbook\LogbookSearch;
use App\Logbook\LogEvent;
use App\Logbook\Reading;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Module;
use App\Models\Script;
use App\Wording\LocalTime;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;
use YoungHarbor\Core\Tables\Csv;

/**
 * The logbook of a module, newest first: searched, and taken away.
 */
final class LogbookController extends Controller
{
    public function show(Request $request, Module $module, Logbook $logbook): View
    {
        $this->authorize('viewLogbook', $module);
        $search = LogbookSearch::from($request, $module);
        $lines = $search->lines()->simplePaginate(60)->withQueryString();

        return view('release.logbook', [
            'module' => $module, 'search' => $search, 'lines' => $lines, 'reading' => Reading::of($lines->items()),
            'key' => $logbook->publicKey(), 'blind' => $this->blind($request, $module),
            'scripts' => $this->scripts($module, $lines->items()),
        ]);
    }

    /** The lines of a search as a table, or as a part of the logbook that is verified elsewhere. */
    public function take(Request $request, Module $module, string $form, Logbook $logbook): StreamedResponse
    {
        $this->authorize('viewLogbook', $module);
        $search = LogbookSearch::from($request, $module);
        $head = $logbook->head() ?? throw new Refused(__('logbook.faults.head-missing'));
        $blind = $this->blind($request, $module);
        // What is taken away ends before the line that says so.
        $pieces = $form === 'csv'
            ? $this->table($search, $head->count, $blind)
            : Excerpt::write($head, $logbook->publicKey(), $this->chosen($search, $head->count, $blind));
        $logbook->note(Entry::of(LogEvent::Taken)->on($module)->with(form: $form));

        return response()->streamDownload(function () use ($pieces): void {
            foreach ($pieces as $piece) {
                echo $piece;
            }
        }, Str::slug($module->code)."-logbook.{$form}", [
            'Content-Type' => $form === 'csv' ? 'text/csv; charset=UTF-8' : 'application/jsonl',
        ]);
    }

    /**
     * Where they mark themselves and are not done, they learn no other mark here either.
     *
     * @return list<string> assignments, by public id
     */
    private function blind(Request $request, Module $module): array
    {
        return array_values($module->assignments()->get()
            ->filter(fn (Assignment $one) => $this->person($request)->cannot('viewAllMarks', $one))
            ->map(fn (Assignment $one) => $one->public_id)->all());
    }

    /**
     * @param  array<LogbookLine>  $lines
     * @return array<string, Script> by code, for the way from a line to the marks
     */
    private function scripts(Module $module, array $lines): array
    {
        $codes = array_filter(array_map(
            fn (LogbookLine $line) => $line->subject_kind === 'script' ? $line->subject : null, $lines,
        ));

        return Script::query()->whereIn('code', array_unique($codes))
            ->whereIn('assignment_id', $module->assignments()->pluck('id'))->get(['id', 'public_id', 'code', 'lead_id'])
            ->keyBy('code')->all();
    }

    /**
     * @param  list<string>  $blind
     * @return iterable<string>
     */
    private function table(LogbookSearch $search, int $count, array $blind): iterable
    {
        yield "\u{FEFF}".Csv::line(['Line', 'When', 'Who', 'What', 'Of', 'With', 'Hash']);
        foreach ($search->lines()->where('number', '<=', $count)->lazy(500)->chunk(500) as $some) {
            $reading = Reading::of($some);
            foreach ($some as $line) {
                yield Csv::line([
                    $line->number, LocalTime::shown($line->when()), $reading->who($line), $reading->what($line),
                    $reading->on($line), $this->isHidden($line, $blind)
                        ? __('logbook.hidden_while_marking')
                        : implode('; ', $reading->with($line)),
                    $line->hash,
                ]);
            }
        }
    }

    /**
     * @param  list<string>  $blind
     * @return callable(LogbookLine): bool
     */
    private function chosen(LogbookSearch $search, int $count, array $blind): callable
    {
        $numbers = array_fill_keys(
            $search->lines()->where('number', '<=', $count)->toBase()->pluck('number')->all(), true,
        );

        return fn (LogbookLine $line): bool => isset($numbers[$line->number]) && ! $this->isHidden($line, $blind);
    }

    /**
     * @param  list<string>  $blind
     */
    private function isHidden(LogbookLine $line, array $blind): bool
    {
        return $line->event->tellsMark() && in_array($line->assignment, $blind, true);
    }
}
