<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Circuit\SolvedState;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\PickUp;
use Ispira\Core\Reading\Reading;

/**
 * What every test of a circuit would show under every hypothesis and every draw.
 *
 * Filled as it is asked for. A cell depends only on circuit, hypothesis, test and draws,
 * so cells are kept by the circuit's hash and a new reading only re-weighs them.
 */
final class Predictions
{
    /** Difference of two heard speeds, as shares of full speed, that no ear tells apart. */
    private const SOUNDS_ALIKE = 0.003;

    /** By "hypothesis|test". */
    private readonly KeptCells $cells;

    /** What an answer weighs over the machines of a prediction: see {@see Heard}. */
    public readonly KeptCells $heard;

    private readonly Simulator $simulator;

    private readonly DrawnMachines $machines;

    private readonly SolvedMachines $solved;

    private readonly bool $switches;

    public readonly PickUp $pickUp;

    /** @var array<string, list<float>> by set-up, one a draw, in rad/s */
    private array $soundSpeeds = [];

    /** @var array<string, array<int, array{speed: float, braking: float}>> by set-up and mover, one a draw */
    private array $soundWays = [];

    /** @var array<string, Expected> by hypothesis and test */
    private array $expected = [];

    public function __construct(
        public readonly CircuitModel $circuit,
        private readonly Hypothesis $sound,
        PredictionStore $store,
    ) {
        $this->cells = new KeptCells($store, $circuit->hash);
        $this->heard = new KeptCells($store, "$circuit->hash-ears");
        $this->simulator = new Simulator($circuit);
        $this->machines = new DrawnMachines($circuit, $this->simulator);
        $this->solved = new SolvedMachines($circuit, $this->simulator, $this->machines, $sound);
        $this->switches = $circuit->netlist->switches();
        $this->pickUp = PickUp::in($circuit->netlist);
    }

    /**
     * @return list<float> one number a draw: V, A, Ω, %, or what is judged: heard speed as a ratio, a lamp's voltage over its full one
     */
    public function of(Hypothesis $hypothesis, Test $test): array
    {
        return self::unpacked($this->packed($hypothesis, $test));
    }

    /** The same numbers as a binary string: equal strings are equal predictions. */
    public function packed(Hypothesis $hypothesis, Test $test): string
    {
        // While it shows, a fault that comes and goes is the lasting one.
        $key = rtrim($hypothesis->key, '~') . "|$test->key";

        return $this->cells->of(
            $key,
            fn(): string => $this->compute($hypothesis, $test, !$test->probe->quantity->isNumber()),
        );
    }

    /** @return list<float> */
    public static function unpacked(string $packed): array
    {
        /** @var array<int, float>|false $numbers */
        $numbers = unpack('d*', $packed);

        return $numbers === false ? [] : array_values($numbers);
    }

    /**
     * A number over the few draws for judging, whose states the speed map has mostly solved.
     *
     * @return list<float>
     */
    public function few(Hypothesis $hypothesis, Test $test): array
    {
        return self::unpacked(
            $this->cells->of(
                rtrim($hypothesis->key, '~') . "|$test->key|few",
                fn(): string => $this->compute($hypothesis, $test, true),
            ),
        );
    }

    /** What a test is expected to show before anything was read, over all draws or the few for judging. */
    public function expected(Hypothesis $hypothesis, Test $test, bool $few = false): Expected
    {
        $key = rtrim($hypothesis->key, '~') . "|$test->key" . ($few ? '|few' : '');

        return $this->expected[$key] ??= Expected::of(
            $test->probe->quantity,
            $few ? $this->few($hypothesis, $test) : $this->of($hypothesis, $test),
        );
    }

    /** The same for what was measured: with the supply voltage that was noted, and leads as they were. */
    public function expectedOf(Hypothesis $hypothesis, Measurement $measurement, bool $few = false): Expected
    {
        $test = $measurement->test;
        $quantity = $test->probe->quantity;
        $reading = $measurement->readings[0];
        $volts = $quantity->followsSupply() ? $reading->supplyVolts : null;
        if ($volts === null && $reading->leadOhms === 0.0) {
            return $this->expected($hypothesis, $test, $few);
        }
        $numbers = $few ? $this->few($hypothesis, $test) : $this->of($hypothesis, $test);

        return Expected::of($quantity, $this->atSupply($numbers, $volts, $few), $reading->leadOhms > 0.0);
    }

    /** Whether a meter may pick something up where a place on its scale is expected. */
    public function picksUp(Test $test, float $place, bool $few = false): bool
    {
        $volts = static fn(float $place): float => ReadingScale::from($test->probe->quantity, $place);
        $sound = fn(): float => $volts($this->expected($this->sound, $test, $few)->mean);

        return PickUp::mayBeAt($test->probe->quantity, $volts($place), $sound);
    }

    /**
     * Predictions for the supply voltage that was noted with a reading; as they are where none was.
     *
     * @param list<float> $numbers one a draw, of all draws or of the few
     *
     * @return list<float>
     */
    public function atSupply(array $numbers, ?float $volts, bool $few): array
    {
        if ($volts === null) {
            return $numbers;
        }
        $slot = $this->simulator->solver->slot($this->circuit->supply);
        foreach ($this->machines->vectors($few) as $draw => $vector) {
            $numbers[$draw] = ($numbers[$draw] * $volts) / $vector[$slot];
        }

        return array_values($numbers);
    }

    /** Supply voltage at no load that is usual for the circuit, in V. */
    public function usualSupply(): float
    {
        $slot = $this->simulator->solver->slot($this->circuit->supply);

        return array_sum(array_column($this->machines->vectors(false), $slot)) /
            \count($this->machines->vectors(false));
    }

    /**
     * The sum of some parameters of the circuit, see {@see DrawnMachines::parameters()}.
     *
     * @param list<string> $parameters
     *
     * @return list<float> one a draw
     */
    public function parameters(Hypothesis $hypothesis, array $parameters, ?SetUp $setUp = null): array
    {
        return $this->machines->parameters($hypothesis, $parameters, $setUp);
    }

    /** The usual supply over that of a 12 V system while it works. */
    public function scale(): float
    {
        return $this->usualSupply() / 13.0;
    }

    /** Keeps what was computed for the next time. */
    public function keep(): void
    {
        $this->cells->keep();
        $this->heard->keep();
    }

    private function compute(Hypothesis $hypothesis, Test $test, bool $few): string
    {
        if ($test->probe->quantity === Quantity::Observation) {
            return pack('d', 0.0);
        }
        if ($test->probe->quantity === Quantity::Capacitance) {
            return pack('d*', ...$this->capacitances($hypothesis, $test, $few));
        }
        if ($test->probe->quantity === Quantity::Speed && $this->circuit->setUps[$test->setUp]->atRest !== []) {
            return pack('d*', ...$this->restless($hypothesis, $test));
        }
        if ($test->probe->quantity === Quantity::Speed) {
            return pack('d*', ...$this->heard($hypothesis, $test));
        }

        return pack('d*', ...$this->observed($hypothesis, $test, $few));
    }

    /** @return list<float> */
    private function observed(Hypothesis $hypothesis, Test $test, bool $few): array
    {
        $numbers = [];
        foreach ($this->solved->of($hypothesis, $test->setUp, $test->probe, $few) as $point) {
            $numbers[] = $this->simulator->observe($test->probe, $point);
        }

        return $numbers;
    }

    /**
     * Speeds as they are heard, over the few draws. What turns, and sounds the same in a draw and in its mirror image,
     * does in the others too, and so does what surely stands: they are not solved for it, but take turns with these
     * two. Of a fault that may be worse or less bad it takes one where it is worse besides. Not so where a coil decides,
     * which may pull in one draw and not in another.
     *
     * @return list<float>
     */
    private function heard(Hypothesis $hypothesis, Test $test): array
    {
        $draws = \count($this->machines->vectors(true));
        if ($hypothesis->decouples($this->circuit->setUps[$test->setUp])) {
            return array_fill(0, $draws, 0.0);
        }
        $speeds = [];
        $stands = !$hypothesis->hasDegree();
        $asked = DrawnValues::enoughToTell($hypothesis);
        foreach ($this->solved->of($hypothesis, $test->setUp, $test->probe, true, $asked) as $point) {
            $speeds[] = $this->simulator->observe($test->probe, $point);
            $stands = $stands && $point->standsSurely($test->probe->at);
        }
        $heard = $this->asHeard($test, $speeds);
        if ($stands || (!$this->switches && self::soundAlike(\array_slice($heard, 0, $asked)))) {
            return array_map(static fn(int $draw): float => $heard[$draw % DrawnValues::A_PAIR], range(0, $draws - 1));
        }

        return $this->asHeard($test, $this->observed($hypothesis, $test, true));
    }

    /** @return list<float> */
    private function capacitances(Hypothesis $hypothesis, Test $test, bool $few): array
    {
        $setUp = $this->circuit->setUps[$test->setUp];
        $numbers = [];
        foreach (array_keys($this->machines->vectors($few)) as $draw) {
            $values = $this->machines->applied($draw, $setUp, $hypothesis, $test->probe, $few);
            $numbers[] = $this->simulator->capacitance(
                $test->probe,
                fn(string $parameter): float => $values[$this->simulator->solver->slot($parameter)],
            );
        }

        return $numbers;
    }

    /**
     * @param list<float> $speeds one a draw
     *
     * @return list<float>
     */
    private function asHeard(Test $test, array $speeds): array
    {
        $mover = $this->circuit->fullSpeedMover($test);
        $sound = $this->soundSpeeds($test->setUp, $test->probe->at, $test->probe);
        $full = $this->soundSpeeds($this->circuit->fullSpeedSetUp($mover)->key, $mover, $test->probe);
        $heard = [];
        foreach ($speeds as $draw => $speed) {
            $heard[] = Simulator::heard($speed, $sound[$draw], $full[$draw]);
        }

        return $heard;
    }

    /** @return list<float> */
    private function soundSpeeds(string $setUp, string $mover, Probe $probe): array
    {
        return $this->soundSpeeds["$setUp|$mover"] ??= array_map(
            static fn(SolvedState $point): float => $point->speed($mover),
            $this->solved->of($this->sound, $setUp, $probe, true),
        );
    }

    /**
     * What shafts with a place of rest do, over the few draws; as in {@see heard()}, the first two may stand for all.
     *
     * @return list<float>
     */
    private function restless(Hypothesis $hypothesis, Test $test): array
    {
        $setUp = $this->circuit->setUps[$test->setUp];
        $mover = $test->probe->at;
        /** @var list<float> $numbers */
        $numbers = [];
        $inDegree = $this->machines->inDegree($hypothesis, true);
        $asked = DrawnValues::enoughToTell($hypothesis);
        foreach ($this->machines->vectors(true) as $draw => $vector) {
            if (!$this->switches && $draw >= $asked && self::soundAlike(\array_slice($numbers, 0, $asked))) {
                $numbers[] = $numbers[$draw % DrawnValues::A_PAIR];
                continue;
            }
            $sound = $this->soundWays["$test->setUp|$mover"][$draw] ??= $this->simulator->soundWay(
                $mover,
                $vector,
                $setUp,
                $this->sound,
            );
            $numbers[] = $this->simulator->restless(
                $this->circuit->kindIn($test),
                $mover,
                $vector,
                $setUp,
                $inDegree[$draw],
                $sound,
            );
        }

        return $numbers;
    }

    /**
     * Whether something turns, and as fast in one draw as in the others, as far as ears can tell.
     *
     * @param list<float> $heard
     */
    private static function soundAlike(array $heard): bool
    {
        foreach ($heard as $one) {
            // A relay that chatters is no speed, and like nothing. Asked by itself: compiled just in time, "not less
            // than" takes what is no number for less.
            if (is_nan($one) || abs($one - $heard[0]) >= self::SOUNDS_ALIKE) {
                return false;
            }
        }

        return array_filter($heard) !== [];
    }
}
