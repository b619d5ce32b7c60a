<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Reading\Reading;

/**
 * A circuit on a test's bench, with readings taken from its own predictions.
 */
final class Bench
{
    /** What a circuit shows is the same on every bench. */
    private static ?MemoryStore $store = null;

    public readonly CircuitModel $circuit;

    /** @var array<string, Hypothesis> */
    public readonly array $hypotheses;

    public readonly Predictions $predictions;

    /** @param array<string, mixed> $parameters */
    public function __construct(array $parameters = [], bool $intermittent = false, string $family = 'stepped-blower')
    {
        $family = FamilyRegistry::shipped()->get($family);
        $this->circuit = $family->circuit($family->parameters()->read($parameters));
        $this->hypotheses = HypothesisList::of($this->circuit, $intermittent);
        $this->predictions = new Predictions($this->circuit, $this->hypotheses['none'], new NoStore());
    }

    /** What a test shows under a hypothesis, on average over the draws. */
    public function shows(string $hypothesis, string $test): float
    {
        $numbers = $this->predictions->of($this->hypotheses[$hypothesis], $this->circuit->tests[$test]);

        return array_sum($numbers) / \count($numbers);
    }

    /** What a test usually shows with nothing wrong: its number, or what most people choose. */
    public function usual(string $test): float|string|null
    {
        $probe = $this->circuit->tests[$test]->probe;
        if ($probe->quantity->isNumber()) {
            $shown = $this->shows('none', $test);

            return is_finite($shown) ? $shown : null;
        }
        $chances = $this->diagnose(new CaseFile([]))->evidence->foreseen->chances(
            $this->hypotheses['none'],
            $this->circuit->tests[$test],
        );
        arsort($chances);

        return (string) array_key_first($chances);
    }

    /**
     * Speed heard in each position under a hypothesis, as a part of what is right there (of full speed in off and
     * key-off).
     *
     * @return array<array-key, float>
     */
    public function speeds(string $hypothesis): array
    {
        $speeds = [];
        foreach (array_keys($this->circuit->positions) as $position) {
            $speeds[(string) $position] = round($this->shows($hypothesis, "speed@$position"), 3);
        }

        return $speeds;
    }

    /**
     * @param array<array-key, string> $states by position
     * @param array<string, float|string|null> $readings by test
     */
    public static function case(array $states, array $readings = [], bool $intermittent = false): CaseFile
    {
        $list = [];
        foreach ($states as $position => $state) {
            $list[] = new Reading("map-$position", "speed@$position", $state);
        }
        foreach ($readings as $test => $value) {
            $list[] = new Reading("reading-$test", $test, $value);
        }

        return new CaseFile($list, [], $intermittent);
    }

    public function diagnose(CaseFile $case): Diagnosis
    {
        return (new Engine((self::$store ??= new MemoryStore())))->diagnose(
            $this->circuit,
            $case,
            new DecisionSettings(),
        );
    }
}
