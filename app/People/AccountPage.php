<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Page;
use App\Instruments\UnitChoice;
use Ispira\Core\Kernel\NumberLanguage;

final readonly class AccountPage extends Page
{
    /**
     * @param string|null $theme "day" or "dash"; null for what each device shows
     * @param string $system of units
     * @param list<UnitChoice> $quantities
     */
    public function __construct(
        public string $name,
        public string $email,
        public Role $role,
        public ?string $theme,
        public NumberLanguage $numbers,
        public string $system,
        public array $quantities,
    ) {}
}
