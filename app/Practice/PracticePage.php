<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Page;
use App\Jobs\FamilyHead;

final readonly class PracticePage extends Page
{
    /**
     * @param list<FamilyHead> $families
     * @param list<string>     $wandering families in which a fault may come and go
     * @param string           $usual     the family that the workshop meets most
     */
    public function __construct(public array $families, public array $wandering, public string $usual) {}
}
