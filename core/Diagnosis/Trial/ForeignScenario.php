<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Diagnosis\Inference\Hypothesis;

/**
 * What is hidden in a machine of the foreign world, and which verdicts on it are right.
 */
final readonly class ForeignScenario
{
    /**
     * @param 'listed'|'unlisted'|'nothing' $kind
     * @param string       $name     of what is wrong
     * @param Hypothesis   $state    what is changed in the circuit
     * @param list<string> $right    remedies that are right; none where no listed part cures it
     * @param Element|null $added    an element that no netlist of the product has
     * @param bool         $misheard whether one position was called wrongly
     */
    public function __construct(
        public string $kind,
        public string $name,
        public Hypothesis $state,
        public array $right,
        public ?Element $added = null,
        public bool $misheard = false,
    ) {}
}
