<?php

declare(strict_types=1);

namespace App\Http;

use App\People\Ability;
use App\People\Role;
use Ispira\Core\Kernel\NumberLanguage;

/**
 * Who is signed in.
 */
final readonly class SignedIn
{
    /**
     * @param list<Ability> $may what this person's role allows
     * @param string|null $theme that this person chose for all devices
     */
    public function __construct(
        public int $id,
        public string $name,
        public Role $role,
        public string $workshop,
        public string $currency,
        public array $may,
        public ?string $theme,
        public NumberLanguage $numbers,
    ) {}
}
