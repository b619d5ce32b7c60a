<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Http\Page;
use App\Jobs\FamilyHead;
use Ispira\Core\Procedure\TypedProcedure;

final readonly class WriteProcedurePage extends Page
{
    /**
     * @param string|null  $key      of the one that is changed; null for a new one
     * @param list<FamilyHead> $families of circuits
     */
    public function __construct(public ?string $key, public TypedProcedure $typed, public array $families) {}
}
