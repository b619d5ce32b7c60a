<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Kernel\Choice;

final readonly class JobsPage extends Page
{
    /**
     * @param ListView|null $view null for the first page, with what is going on
     * @param string|null $family key
     * @param int|null $person whose jobs
     * @param list<ListNumber> $numbers
     * @param list<JobGroup> $groups
     * @param bool $onlyTheNewest whether older jobs may have these words as well, all of them being common
     * @param string|null $newer address of the page before
     * @param string|null $older address of the page after
     * @param list<Choice> $families
     * @param list<Choice> $people
     * @param list<Choice> $sorts
     * @param bool $newcomer whether the person has opened no job and done no exercise yet
     */
    public function __construct(
        public string $search,
        public ?ListView $view,
        public ?string $family,
        public ?int $person,
        public ListSort $sort,
        public array $numbers,
        public array $groups,
        public bool $onlyTheNewest,
        public ?string $newer,
        public ?string $older,
        public array $families,
        public array $people,
        public array $sorts,
        public bool $newcomer,
    ) {}
}
