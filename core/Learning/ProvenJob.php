<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What a closed job says about what fails: what cured the machine, proven by it running right again.
 */
final readonly class ProvenJob
{
    /**
     * @param string $remedy what was replaced, as one key; "none" where nothing was wrong
     * @param array<string, float> $faults how likely each fault of it was when it was replaced, adding up to 1; none
     *     where that is not known
     */
    public function __construct(public string $remedy, public array $faults = []) {}

    /**
     * What a job proves; null where it proves nothing: makeshifts, machines that are still to be watched, make-believe
     * units and what nobody has countersigned do not count.
     */
    public static function from(JobState $job): ?self
    {
        if (
            $job->practice !== null ||
            $job->part !== null ||
            $job->head->kind !== JobKind::Fault ||
            !$job->is(JobStage::Closed) ||
            $job->head->countersign
        ) {
            return null;
        }
        $cured = array_values(
            array_filter($job->replacements, static fn(Replaced $one): bool => $job->held($one->id) !== false),
        );
        if ($job->head->outcome === JobOutcome::ProvenGood && $job->replacements === []) {
            return new self(HypothesisList::NOTHING_WRONG);
        }
        if ($job->head->outcome !== JobOutcome::Repaired || $cured === []) {
            return null;
        }
        if (array_filter($cured, static fn(Replaced $one): bool => $one->temporaryUntil !== null) !== []) {
            return null;
        }
        $parts = array_unique(
            array_merge(...array_map(static fn(Replaced $one) => explode('+', $one->remedy), $cured)),
        );
        sort($parts);
        $remedy = implode('+', $parts);

        return new self($remedy, self::faults($cured[\count($cured) - 1], $remedy));
    }

    /** @return array<string, float> as the verdict on it had them */
    private static function faults(Replaced $replaced, string $remedy): array
    {
        $suspects = $replaced->verdict['suspects'] ?? null;
        $faults = [];
        foreach (\is_array($suspects) ? $suspects : [] as $suspect) {
            if (!\is_array($suspect) || ($suspect['remedy'] ?? null) !== $remedy) {
                continue;
            }
            foreach (\is_array($suspect['faults'] ?? null) ? $suspect['faults'] : [] as $fault) {
                $key = \is_array($fault) ? $fault['key'] ?? null : null;
                $chance = \is_array($fault) ? $fault['probability'] ?? null : null;
                if (\is_string($key) && (\is_float($chance) || \is_int($chance)) && $chance > 0.0) {
                    $key = rtrim($key, '~');
                    $faults[$key] = ($faults[$key] ?? 0.0) + $chance;
                }
            }
        }
        $sum = array_sum($faults);

        return array_map(static fn(float $chance): float => $chance / $sum, $faults);
    }
}
