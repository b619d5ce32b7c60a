<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Http\Page;
use Ispira\Core\Kernel\Choice;

final readonly class SettingsPage extends Page
{
    /**
     * @param string $opensAt HH:MM
     * @param string $closesAt HH:MM
     * @param list<string> $timeZones
     * @param list<string> $workingDays "mon" to "sun"
     * @param list<Choice> $tools
     * @param list<string> $missingTools keys of those that the workshop does not own
     * @param string $odds with which diagnoses begin: its own, or those that ship
     * @param int $againMonths within which the same part again raises what lies upstream; 0 for never
     */
    public function __construct(
        public string $name,
        public string $address,
        public string $contact,
        public string $currency,
        public float $labourPerHour,
        public float $comeBackHours,
        public string $taxLine,
        public string $unitSystem,
        public string $opensAt,
        public string $closesAt,
        public string $timeZone,
        public array $timeZones,
        public array $workingDays,
        public array $tools,
        public array $missingTools,
        public string $odds,
        public int $againMonths,
    ) {}
}
