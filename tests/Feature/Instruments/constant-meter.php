<?php

/**
 * Serves a simulated meter that shows one value: constant-meter.php VALUE [STUCK FUNCTION] [SILENT AFTER]. Prints its
 * port.
 */

declare(strict_types=1);

use App\Instruments\MeterServer;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\SimulatedMeter;

require __DIR__ . '/../../../vendor/autoload.php';

$value = $argv[1] === 'OL' ? null : (float) $argv[1];
$server = new MeterServer(
    new SimulatedMeter(static fn(): ?float => $value, MeterFunction::named($argv[2] ?? '')),
    0,
    isset($argv[3]) ? (int) $argv[3] : null,
);
echo $server->address(), "\n";
$server->serve(static fn(): bool => true);
