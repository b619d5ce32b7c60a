<?php

declare(strict_types=1);

namespace Ispira\Core\Repair;

use Ispira\Core\Diagnosis\DecisionSettings;
use Ispira\Core\Diagnosis\Diagnosis;
use Ispira\Core\Diagnosis\HypothesisList;
use Ispira\Core\Diagnosis\Money;
use Ispira\Core\Diagnosis\Suspect;
use Ispira\Core\Diagnosis\Words;
use Ispira\Core\Family\CircuitModel;

/**
 * What it takes from the odds as they stand to a machine that runs, without another test.
 */
final readonly class Outlook
{
    /** Suspects below this share are not bought for. */
    private const TRIED_FROM = 0.003;

    public function __construct(private CircuitModel $circuit, private DecisionSettings $settings)
    {
    }

    /** The best order of trial over the remedies of the suspects; one that replaces more parts cures what a part of it would. */
    public function order(Diagnosis $diagnosis): TrialOrder
    {
        $money = new Money($this->circuit, $this->settings);
        $chances = array_column($diagnosis->suspects, 'probability', 'remedy');
        $tried = array_values(array_filter($diagnosis->suspects, static fn (Suspect $one): bool => $one->remedy !== HypothesisList::NOTHING_WRONG && $one->probability >= self::TRIED_FROM));
        $options = array_map(static fn (Suspect $one): RemedyOption => new RemedyOption(
            $one->remedy,
            $money->ofRemedy($one->remedy),
            array_values(array_filter(array_keys($chances), static fn (string $other): bool => $other !== HypothesisList::NOTHING_WRONG && array_diff(explode('+', $other), explode('+', $one->remedy)) === [])),
        ), $tried);

        return TrialOrder::best($options, $chances, $this->settings->comeBack());
    }

    /**
     * The same for a page.
     *
     * @return array{attempts: list<array{remedy: string, label: string, money: float, reached: float, fixes: float}>, money: float, test: array{title: string, costs: float, saves: float}|null}
     */
    public function shown(Diagnosis $diagnosis): array
    {
        $words = new Words($this->circuit);
        $order = $this->order($diagnosis);

        return [
            'attempts' => array_map(static fn (Attempt $one): array => ['remedy' => $one->option->key, 'label' => $words->remedy($one->option->key), 'money' => $one->option->money, 'reached' => $one->reached, 'fixes' => $one->fixes], $order->attempts),
            'money' => $order->money,
            'test' => $diagnosis->next === null ? null : ['title' => $words->test($diagnosis->next->test), 'costs' => $diagnosis->next->cost, 'saves' => max(0.0, $diagnosis->next->saves)],
        ];
    }
}
