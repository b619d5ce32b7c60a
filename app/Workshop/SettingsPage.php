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
     * @param list<string> $workingDays "mon" to "sun"
     * @param list<Choice> $tools
     * @param list<string> $missingTools keys of those that the workshop does not own
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
        public array $workingDays,
        public array $tools,
        public array $missingTools,
    ) {}
}
