<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\BoardSheet;
use YoungHarbor\Core\Tables\Csv;

/**
 * A board sheet as a file.
 */
final class BoardSheetFile
{
    public function __construct(private readonly Pdf $pdf)
    {
    }

    /**
     * @param  array<string, mixed>  $sheet
     */
    public function pdf(array $sheet, ?BoardSheet $kept): string
    {
        return $this->pdf->of('release.board-pdf', ['sheet' => $sheet, 'kept' => $kept, 'made' => now()], landscape: true);
    }

    /**
     * @param  array<string, mixed>  $sheet
     */
    public function csv(array $sheet): string
    {
        $of = array_merge(...array_column($sheet['parts'], 'of'));
        $text = "\u{FEFF}".Csv::line([
            'Candidate', 'Module mark', 'Band', 'Passed', 'Complete', 'Borderline to', 'Decided', 'Left', ...array_values($of),
        ]);
        foreach ($sheet['rows'] as $row) {
            $text .= Csv::line([
                $row['candidate'], $row['mark'], $row['band'], $row['passed'] ? 'yes' : 'no',
                $row['complete'] ? 'yes' : 'no', $row['just_below'], implode('; ', $row['cases']),
                $row['left'] ? 'yes' : '',
                ...array_map(fn (string $id) => $row['marks'][$id] ?? '', array_keys($of)),
            ]);
        }

        return $text;
    }
}
