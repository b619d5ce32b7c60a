<?php

declare(strict_types=1);

namespace App\Repair;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Support\Facades\View;

/**
 * Draws a template as PDF pages. Nothing is fetched: pictures are part of the page.
 */
final class SheetPrinter
{
    private function __construct() {}

    /**
     * @param view-string          $template
     * @param array<string, mixed> $data
     */
    public static function pdf(string $template, array $data): string
    {
        $folder = storage_path('framework/cache/pdf');
        is_dir($folder) || mkdir($folder, 0o775, true);
        $options = new Options([
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'isJavascriptEnabled' => false,
            'defaultFont' => 'DejaVu Sans',
            'fontDir' => $folder,
            'fontCache' => $folder,
            'tempDir' => $folder,
            'chroot' => [$folder],
        ]);
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4');
        $pdf->loadHtml(View::make($template, $data)->render(), 'UTF-8');
        $pdf->render();
        $canvas = $pdf->getCanvas();
        $font = $pdf->getFontMetrics()->getFont('DejaVu Sans');
        if ($font !== null && is_string($data['foot'] ?? null)) {
            $canvas->page_text(
                40,
                $canvas->get_height() - 30,
                $data['foot'] . ', page {PAGE_NUM} of {PAGE_COUNT}',
                $font,
                7.5,
            );
        }

        return (string) $pdf->output();
    }
}
