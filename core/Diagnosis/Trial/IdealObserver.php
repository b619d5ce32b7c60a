<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

/**
 * Who knows the foreign world itself: what can be told at best from the readings of a job with a listed fault.
 *
 * Sequential Monte Carlo (Del Moral, Doucet and Jasra 2006): for each fault a cloud of machines goes from all that
 * there are to those that fit, the readings counting for more from rung to rung; what is lost on the way is the fault's
 * evidence. Clouds that cannot win are left on the way, the best are sent again with more machines. It takes a minute a
 * job and is a yardstick for trials, not an engine.
 */
final readonly class IdealObserver
{
    /** How much the readings count on each rung. */
    private const RUNGS = [0.005, 0.02, 0.06, 0.15, 0.3, 0.5, 0.75, 1.0];

    /** Machines of a cloud, and of one that is sent again. */
    private const CLOUD = 32;
    private const LARGE_CLOUD = 160;

    /** Clouds that are sent again, and how far behind the best one gives up, in natural logarithms. */
    private const AGAIN = 6;
    private const BEHIND = 6.0;

    public function __construct(private CircuitModel $circuit, private RandomSource $chance) {}

    /**
     * @param list<Reading> $readings
     *
     * @return array<string, float> odds by remedy
     */
    public function odds(array $readings): array
    {
        $likelihood = new ForeignLikelihood($this->circuit, $readings);
        $hypotheses = array_filter(
            HypothesisList::of($this->circuit, false),
            static fn(Hypothesis $h): bool => $h->parts !== [] && !$h->comesAndGoes,
        );
        $evidence = $this->race($hypotheses, $likelihood);
        arsort($evidence);
        foreach (array_keys(\array_slice($evidence, 0, self::AGAIN)) as $key) {
            $cloud = new Cloud($likelihood, $hypotheses[$key], $this->chance, self::LARGE_CLOUD);
            foreach (self::RUNGS as $rung) {
                $cloud->climb($rung);
            }
            $evidence[$key] = log($hypotheses[$key]->prior) + $cloud->evidence;
        }
        $best = max($evidence);
        $odds = [];
        foreach ($evidence as $key => $nats) {
            $remedy = $hypotheses[$key]->remedy();
            $odds[$remedy] = ($odds[$remedy] ?? 0.0) + exp($nats - $best);
        }
        $total = array_sum($odds);
        arsort($odds);

        return array_map(static fn(float $weight): float => $weight / $total, $odds);
    }

    /**
     * @param array<string, Hypothesis> $hypotheses
     *
     * @return non-empty-array<string, float> natural logarithm of prior times evidence of those that came to the end
     */
    private function race(array $hypotheses, ForeignLikelihood $likelihood): array
    {
        $clouds = $nats = [];
        foreach ($hypotheses as $key => $hypothesis) {
            $clouds[$key] = new Cloud($likelihood, $hypothesis, $this->chance, self::CLOUD);
        }
        foreach (self::RUNGS as $rung) {
            $nats = [];
            foreach ($clouds as $key => $cloud) {
                $cloud->climb($rung);
                $nats[$key] = log($hypotheses[$key]->prior) + $cloud->evidence;
            }
            $least = max([-\INF, ...array_values($nats)]) - self::BEHIND;
            $clouds = array_filter(
                $clouds,
                static fn(string $key): bool => $nats[$key] >= $least,
                \ARRAY_FILTER_USE_KEY,
            );
        }
        $end = array_intersect_key($nats, $clouds);

        return $end !== [] ? $end : throw new \LogicException('No fault is left.');
    }
}
