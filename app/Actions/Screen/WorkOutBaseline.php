<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\Assignment;
use App\Models\WritingBaseline;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\Turns;

/**
 * Works out what a version of a baseline is worth: which of its texts belong, how they spread, and the turns of style
 * in them. Scripts that are compared with it are then measured again.
 */
final class WorkOutBaseline
{
    public function __construct(private readonly MeasureAgain $again)
    {
    }

    public function __invoke(WritingBaseline $baseline): void
    {
        $version = $baseline->version;
        $trusted = $baseline->trusted();
        $words = $trusted->frequentWords(Turns::FREQUENT);
        $turns = array_map(fn (Prose $text): ?float => Turns::of($text, $words)?->largest(), $trusted->texts);
        $spread = $trusted->baseline()->spread();
        DB::transaction(function () use ($baseline, $version, $trusted, $turns, $spread): void {
            $stored = WritingBaseline::query()->lockForUpdate()->findOrFail($baseline->id);
            if ($stored->version !== $version) {
                return; // changed meanwhile: that change works it out
            }
            foreach ($stored->texts()->get(['id', 'misfit', 'turn']) as $text) {
                $text->update(['misfit' => $trusted->misfits[$text->id] ?? null, 'turn' => $turns[$text->id] ?? null]);
            }
            $stored->update(
                ['worked_out_version' => $version, 'size' => $trusted->size(), 'spread' => $spread, 'failure' => null]
            );
            foreach (Assignment::query()->where('writing_baseline_id', $stored->id)->pluck('id') as $id) {
                ($this->again)((int) $id);
            }
        });
    }
}
