<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use Illuminate\Http\Response;

/**
 * The job on paper: for the customer in plain words, for the file with everything.
 */
final class SheetController extends Controller
{
    public function show(Job $job, string $for, JobSheet $sheet): Response
    {
        $pdf = SheetPrinter::pdf(
            $for === 'file' ? 'sheets.file' : 'sheets.customer',
            $sheet->of($job, $for === 'file'),
        );

        return response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="' . JobView::number($job) . "-$for.pdf\"",
        ]);
    }
}
