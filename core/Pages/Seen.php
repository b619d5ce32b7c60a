<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Diagnosis\Presentation\Shown\SeriesStep;

/**
 * The diagnosis of a job with the sheet and the series of the test that is shown.
 */
final readonly class Seen
{
    /** @param list<SeriesStep> $series */
    public function __construct(public DiagnosisShown $diagnosis, public array $series, public DrawnSheet $sheet) {}
}
