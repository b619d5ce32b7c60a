<?php

declare(strict_types=1);

namespace Ispira\Core\Quality;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Reading;

/**
 * Asks all rules about a reading before it is believed.
 *
 * A doubt is asked once: a number that is taken again and shows the same is not doubted for it a second time.
 */
final readonly class QualityCheck
{
    public function __construct(private PredictionStore $store = new NoStore()) {}

    /** @return non-empty-list<QualityRule> */
    public static function rules(): array
    {
        return [
            new Rules\Wandering(),
            new Rules\Impossible(),
            new Rules\Reversed(),
            new Rules\Thousandfold(),
            new Rules\DecimalPlace(),
            new Rules\WrongFunction(),
            new Rules\Unchanged(),
            new Rules\RailOutside(),
            new Rules\SumOfParts(),
            new Rules\Contradicts(),
            new Rules\WeakLowOhms(),
        ];
    }

    /**
     * @param CaseFile $case    without the reading
     *
     * @return list<Doubt>
     */
    public function of(
        CircuitModel $circuit,
        CaseFile $case,
        Reading $reading,
        DisplayUnits $units = new DisplayUnits(),
    ): array {
        $test = $circuit->tests[$reading->test];
        if (!$test->probe->quantity->isNumber()) {
            return [];
        }
        $hypotheses = HypothesisList::of($circuit, $case->intermittent);
        $predictions = new Predictions($circuit, $hypotheses[HypothesisList::NOTHING_WRONG], $this->store);
        $earlier = array_values(
            array_filter($case->standing(), static fn(Reading $r): bool => $r->episode === $reading->episode),
        );
        $context = new ReadingInContext(
            $circuit,
            $reading,
            \is_float($reading->value) ? $reading->value : \INF,
            $earlier,
            new Words($circuit, $units),
            $hypotheses,
            $predictions,
        );
        $rules = match (true) {
            // Of a number that is not there only that it wandered can be said.
            !is_finite($context->number) => [new Rules\Wandering()],
            $context->isConfirmed() => [],
            default => self::rules(),
        };
        $doubts = [];
        foreach ($rules as $rule) {
            $sentence = $rule->doubt($context);
            if ($sentence !== null) {
                $doubts[] = new Doubt($rule->key(), $sentence);
            }
        }
        $predictions->keep();

        return $doubts;
    }
}
