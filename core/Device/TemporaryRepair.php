<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A repair that only bridges the time until a part comes.
 */
final readonly class TemporaryRepair
{
    /**
     * @param string                      $part     that it keeps running
     * @param int                         $days     for which it may stand, at most
     * @param array<string, list<string>> $refusals answers that forbid it, by the test that gives them
     * @param list<string>                $needed   tests that have to be done first
     */
    public function __construct(public string $part, public int $days, public array $refusals, public array $needed) {}

    /**
     * Why it must not be done; null when nothing speaks against it.
     *
     * @param array<string, string> $answers by test, the latest of each
     *
     * @return array{0: 'needed'|'refused', 1: string}|null what is missing or against it, and the test
     */
    public function objection(array $answers): ?array
    {
        foreach ($this->refusals as $test => $forbidden) {
            if (\in_array($answers[$test] ?? '', $forbidden, true)) {
                return ['refused', $test];
            }
        }
        foreach ($this->needed as $test) {
            if (!isset($answers[$test])) {
                return ['needed', $test];
            }
        }

        return null;
    }
}
