<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Page;
use Ispira\Core\Kernel\Choice;

/** What tests, parts and waiting take here. */
final readonly class TermsPage extends Page
{
    /**
     * @param list<Choice> $families
     * @param list<TermShown> $terms
     * @param list<SourceShown> $sources that were ordered from most, first
     */
    public function __construct(
        public array $families,
        public string $family,
        public array $terms,
        public array $sources,
    ) {}
}
