<?php

declare(strict_types=1);

namespace Database\Seeders;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Diagnosis\Presentation\Shown\FaultShown;
use Ispira\Core\Diagnosis\Presentation\Shown\SuspectShown;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\FiledReading;

/**
 * What is said of a job of the past: by its user, and by the verdict of then.
 */
final class HistoryWords
{
    private function __construct() {}

    /**
     * What the user of the machine says.
     *
     * @param list<FiledReading> $readings of the first map among them
     */
    public static function complaint(CircuitModel $circuit, array $readings): string
    {
        $words = new Words($circuit);
        $wrong = [];
        foreach ($readings as $one) {
            $position = $circuit->positions[substr($one->reading->test, 6)] ?? null;
            if ($one->map !== null && $position !== null && $one->reading->value !== 'right') {
                $wrong[$words->state((string) $one->reading->value, $position->kind)][] = $position->label;
            }
        }
        $said = [];
        foreach (array_slice($wrong, 0, 2, true) as $state => $labels) {
            $said[] = lcfirst($state) . ' on ' . Words::listed(array_slice($labels, 0, 4));
        }

        return $said === [] ? 'Something about it is odd' : ucfirst(implode('; ', $said));
    }

    /** @return list<array<string, mixed>> without what no page of a closed job shows */
    public static function suspects(DiagnosisShown $shown): array
    {
        return array_map(
            static fn(SuspectShown $one, int $rank): array => [
                'remedy' => $one->remedy,
                'label' => $one->label,
                'probability' => round($one->probability, 5),
                'cost' => $one->cost,
                'faults' => array_map(
                    static fn(FaultShown $fault): array => [
                        'key' => $fault->key,
                        'label' => $fault->label,
                        'probability' => round($fault->probability, 5),
                    ],
                    $one->faults,
                ),
                'reasons' => $rank === 0 ? array_slice($one->reasons, 0, 3) : [],
            ],
            $some = array_slice($shown->suspects, 0, 3),
            array_keys($some),
        );
    }
}
