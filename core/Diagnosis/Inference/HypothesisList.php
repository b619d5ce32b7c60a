<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Severity;

/**
 * All explanations that are weighed for a circuit.
 */
final class HypothesisList
{
    public const NOTHING_WRONG = 'none';

    /** A fault that no family lists, see {@see SomethingElse}. */
    public const SOMETHING_ELSE = 'something-else';

    /** Relative frequency of a complaint with nothing wrong, beside those of the faults. */
    public const NOTHING_WRONG_PRIOR = 0.03;

    /** Share of complaints whose fault is in no list. */
    public const SOMETHING_ELSE_PRIOR = 0.03;

    /** Weight of the intermittent form of a fault against its lasting form. */
    private const COMES_AND_GOES = ['lasting' => 0.06, 'intermittent' => 1.2];

    /** Weight of a lasting fault when the complaint comes and goes. */
    private const LASTING_THOUGH_INTERMITTENT = 0.25;

    /** Parts replaced before from which on something upstream of them is suspected more. */
    private const MANY_REPLACED = 2;

    /**
     * @param int $replacedBefore how many parts were replaced on the unit before
     * @param Odds $odds           by which the shipped chances are moved
     *
     * @return array<string, Hypothesis> by key, priors adding up to 1
     */
    public static function of(
        CircuitModel $circuit,
        bool $intermittent,
        int $replacedBefore = 0,
        Odds $odds = new Odds(),
    ): array {
        $upstream = $replacedBefore >= self::MANY_REPLACED ? 1.0 + $replacedBefore : 1.0;
        $list = [new Hypothesis(self::NOTHING_WRONG, [], [], self::NOTHING_WRONG_PRIOR, [])];
        $lasting = $intermittent ? self::LASTING_THOUGH_INTERMITTENT : 1.0;
        $passing = self::COMES_AND_GOES[$intermittent ? 'intermittent' : 'lasting'];
        foreach ($circuit->faults as $fault) {
            $prior = $fault->prior * ($fault->upstream ? $upstream : 1.0);
            foreach ($fault->severities as $degree => $severity) {
                $list[] = self::single($fault, $degree, $severity, $prior * $severity->share * $lasting, false);
            }
            if ($fault->comesAndGoes) {
                $list[] = self::single($fault, 0, $fault->severities[0], $prior * $passing, true);
            }
        }
        foreach ($circuit->pairs as $pair) {
            $first = $circuit->faults[$pair->first];
            $second = $circuit->faults[$pair->second];
            foreach (Severity::coarse($first->severities) as $degree => $severity) {
                foreach (Severity::coarse($second->severities) as $secondDegree => $secondSeverity) {
                    $parts = array_values(array_unique([$first->part, $second->part]));
                    sort($parts);
                    $list[] = new Hypothesis(
                        "$first->key#$degree+$second->key#$secondDegree",
                        [$first, $second],
                        $parts,
                        $pair->prior * $severity->share * $secondSeverity->share * $lasting,
                        [...$severity->adjustments, ...$secondSeverity->adjustments],
                        $severity->acts + $secondSeverity->acts,
                        ofFirst: \count($severity->adjustments),
                    );
                }
            }
        }
        $list = $odds->isShipped()
            ? $list
            : array_map(
                static fn(Hypothesis $h): Hypothesis => $h->weighing(
                    $h->prior * $odds->factor($h->remedy(), rtrim($h->faultKey(), '~')),
                ),
                $list,
            );
        $total = array_sum(array_map(static fn(Hypothesis $h): float => $h->prior, $list));
        $unlisted = ($total * self::SOMETHING_ELSE_PRIOR) / (1.0 - self::SOMETHING_ELSE_PRIOR);
        $list[] = new Hypothesis(self::SOMETHING_ELSE, [], [], $unlisted, []);
        $total += $unlisted;
        $byKey = [];
        foreach ($list as $h) {
            $byKey[$h->key] = $h->weighing($h->prior / $total);
        }

        return $byKey;
    }

    /**
     * Chances summed by what would have to be replaced.
     *
     * @param array<string, Hypothesis> $hypotheses
     * @param array<string, float>      $chances by hypothesis
     *
     * @return array<string, float> by remedy
     */
    public static function byRemedy(array $hypotheses, array $chances): array
    {
        $remedies = [];
        foreach ($chances as $key => $chance) {
            $remedy = $hypotheses[$key]->remedy();
            $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $chance;
        }

        return $remedies;
    }

    /**
     * Those that blame a part, each fault in its degrees.
     *
     * @param array<string, Hypothesis> $hypotheses
     *
     * @return array<string, non-empty-list<Hypothesis>> by fault
     */
    public static function byFault(array $hypotheses): array
    {
        $faults = [];
        foreach ($hypotheses as $hypothesis) {
            if ($hypothesis->parts !== []) {
                $faults[$hypothesis->faultKey()][] = $hypothesis;
            }
        }

        return $faults;
    }

    private static function single(
        Fault $fault,
        int $degree,
        Severity $severity,
        float $prior,
        bool $comesAndGoes,
    ): Hypothesis {
        return new Hypothesis(
            "$fault->key#$degree" . ($comesAndGoes ? '~' : ''),
            [$fault],
            [$fault->part],
            $prior,
            $severity->adjustments,
            $severity->acts,
            $comesAndGoes,
        );
    }
}
