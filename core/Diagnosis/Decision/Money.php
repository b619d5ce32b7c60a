<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\Ranking;

/**
 * What it costs to be wrong.
 */
final readonly class Money
{
    /** Minutes of looking for a fault that no list holds. */
    private const SEARCH_MINUTES = 60.0;

    public function __construct(private CircuitModel $circuit, private DecisionSettings $settings) {}

    /** Price and labour of a remedy ("pack", "motor+pack", "none"). */
    public function ofRemedy(string $remedy): float
    {
        if ($remedy === HypothesisList::NOTHING_WRONG) {
            return 0.0;
        }
        if ($remedy === HypothesisList::SOMETHING_ELSE) {
            return $this->settings->labour(self::SEARCH_MINUTES);
        }
        $money = 0.0;
        foreach (explode('+', $remedy) as $key) {
            $part = $this->circuit->parts[$key];
            $money += $this->settings->price($part) + $this->settings->labour($this->settings->terms->fitting($part));
        }

        return $money;
    }

    /**
     * Expected money wasted when remedies are tried in the best order from here on.
     *
     * Each wrong one costs its price and labour and a come-back. For suspects of which exactly
     * one is true, the cheapest order of trial is by falling chance over cost (an exchange of
     * neighbours shows it).
     *
     * @param array<string, float> $chances by remedy, adding up to 1
     */
    public function wasted(array $chances): float
    {
        $comeBack = $this->settings->comeBack();
        $ratio = [];
        $cost = [];
        foreach ($chances as $remedy => $chance) {
            if ($chance > 1e-6) {
                $cost[$remedy] = $this->ofRemedy($remedy) + $comeBack;
                // What costs nothing comes first.
                $ratio[$remedy] = $cost[$remedy] > 0.0 ? $chance / $cost[$remedy] : \INF;
            }
        }
        $left = 1.0;
        $wasted = 0.0;
        foreach (Ranking::largestFirst($ratio) as $remedy => $_) {
            $left -= $chances[$remedy];
            if ($left <= 0.0) {
                break;
            }
            $wasted += $cost[$remedy] * $left;
        }

        return $wasted;
    }
}
