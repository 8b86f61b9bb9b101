<?php

declare(strict_types=1);

namespace App\Documents;

use Dompdf\Dompdf;
use Dompdf\Options;

/**
 * A page as PDF. Nothing is fetched while it is made: no remote address, no file, no script.
 */
final class Pdf
{
    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $data
     */
    public function of(string $view, array $data, bool $landscape = false): string
    {
        return $this->ofHtml(view($view, $data)->render(), $landscape);
    }

    /**
     * @param  string  $html  a whole page, sanitised when it holds what others wrote
     */
    public function ofHtml(string $html, bool $landscape = false): string
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setIsJavascriptEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setTempDir(storage_path('framework/cache'));
        $options->setFontCache(storage_path('framework/cache'));
        $options->setChroot([resource_path('views')]);
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4', $landscape ? 'landscape' : 'portrait');
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }
}
