<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\RandomSource;

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

    /** @param array<string, Hypothesis> $hypotheses of the circuit */
    public static function sound(array $hypotheses, bool $misheard = false): self
    {
        return new self(
            'nothing',
            $misheard ? 'misheard' : 'sound',
            $hypotheses[HypothesisList::NOTHING_WRONG],
            [HypothesisList::NOTHING_WRONG],
            misheard: $misheard,
        );
    }

    /**
     * A fault that the circuit knows, in any degree.
     *
     * @param array<string, Hypothesis> $hypotheses of the circuit
     */
    public static function listed(array $hypotheses, RandomSource $chance): self
    {
        $priors = [];
        foreach ($hypotheses as $key => $hypothesis) {
            if ($hypothesis->parts !== [] && !$hypothesis->comesAndGoes) {
                $priors[$key] = $hypothesis->prior;
            }
        }
        $hypothesis = $hypotheses[$chance->pick($priors)];

        return new self('listed', $hypothesis->faultKey(), $hypothesis->inDegree($chance->even(), $chance->even()), [
            $hypothesis->remedy(),
        ]);
    }
}
