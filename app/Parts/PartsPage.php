<?php

declare(strict_types=1);

namespace App\Parts;

use App\Http\Page;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Repair\Fit\PartShown;

final readonly class PartsPage extends Page
{
    /**
     * @param list<PartShown> $parts
     * @param list<PartTypeShown> $types
     * @param list<string> $makes
     * @param list<Choice> $fits
     */
    public function __construct(public array $parts, public array $types, public array $makes, public array $fits) {}
}
