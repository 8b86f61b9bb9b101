<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\AnswersInJson;
use App\Console\OptionsAsNumbers;
use App\Console\TableFiles;
use Brick\Math\BigDecimal;
use Illuminate\Console\Command;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\Scale;
use YoungHarbor\Core\Formats\MarksCsv;
use YoungHarbor\Core\Input\Document;

/**
 * Says how alike people mark the same scripts, from a table of marks. Needs neither database nor web server.
 */
final class ReportAgreement extends Command
{
    use AnswersInJson;
    use OptionsAsNumbers;

    protected $signature = 'agreement:report {csv : script,marker,mark with part and chance if there are, or - for standard input}
        {--bands=0,40,50,60,70 : where bands begin} {--tolerance=5 : marks that may lie between two}';

    protected $description = 'Say how alike people mark';

    public function handle(TableFiles $files): int
    {
        return $this->answer(function () use ($files): array {
            $in = new Document;
            $tolerance = $this->decimalOption('tolerance', $in, 0, 100);
            $in->throwFaults();
            $report = Report::of(
                MarksCsv::markedScripts($files->text((string) $this->argument('csv'), 'csv')),
                array_map(
                    fn (BigDecimal $one) => $one->toFloat(), MarksCsv::boundaries((string) $this->option('bands')),
                ),
                $tolerance->toFloat(),
            );

            return $this->figures($report);
        });
    }

    /**
     * @return array<string, mixed>
     */
    private function figures(Report $report): array
    {
        $shown = fn (?float $figure): ?string => $figure === null ? null : number_format($figure, 4, '.', '');
        $f = $report->figures;
        $why = $report->why;
        if ($f['limit_low'] === null) {
            $why['limits'] = $why['limit_low'];
        }
        unset($why['limit_low'], $why['limit_high']);
        $effects = [];
        foreach ($report->effects->markers as $marker => $one) {
            $effects[] = [
                'marker' => (string) $marker, 'effect' => $shown($one['effect']), 'se' => $shown($one['se']),
                'component' => $one['component'],
            ];
        }

        return [
            'scripts' => $report->scripts, 'markers' => $report->markers, 'marks' => $report->marks,
            'pairs' => $report->pairs->count(), 'mean_difference' => $shown($f['mean_difference']),
            'sd_difference' => $shown($f['sd_difference']),
            'limits' => $f['limit_low'] === null ? null : [$shown($f['limit_low']), $shown($f['limit_high'])],
            'within_tolerance' => $shown($f['within_tolerance']), 'same_band' => $shown($f['same_band']),
            'kappa' => $shown($f['kappa']), 'kappa_weighted' => $shown($f['kappa_weighted']),
            'icc' => array_map($shown, $report->icc->figures),
            'alpha' => array_combine(
                array_column(Scale::cases(), 'value'),
                array_map(fn (Scale $scale) => $shown($f["alpha_{$scale->value}"]), Scale::cases()),
            ),
            'markers_effects' => $effects, 'connected' => $report->effects->isConnected(),
            'not_available' => (object) $why,
            'intervals' => (object) $this->rounded($report->intervals),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $figures
     * @return array<array-key, mixed>
     */
    private function rounded(array $figures): array
    {
        return array_map(
            fn (mixed $one) => is_array($one)
                ? $this->rounded($one)
                : number_format(is_float($one) ? $one : 0.0, 4, '.', ''),
            $figures,
        );
    }
}
