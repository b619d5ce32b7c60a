<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * What it takes from the odds as they stand to a machine that runs, without another test, for a page.
 *
 * @phpstan-import-type Left from CauseLeft
 *
 * @phpstan-type Shown array{key: string, label: string, kind: string, parts: list<string>, price: float, labour: float, standing: float, comeBack: float, expected: float, perYear: float, fixes: float, leadDays: int|null, warrantyMonths: int, lifeYears: float, comeBackChance: float, lost: float, minutes: float, why: string, whyNot: string, changes: list<string>, quotedBy: string|null, left: list<Left>}
 */
final readonly class Outlook
{
    /** @param CauseLeft|null $causes what was measured that a way leaves in the machine; null to leave it out */
    public function __construct(
        private CircuitModel $circuit,
        private Remedies $remedies,
        private ?CauseLeft $causes = null,
    ) {}

    /** @return array{options: list<Shown>, attempts: list<array{remedy: string, label: string, money: float, reached: float, fixes: float}>, money: float, test: array{title: string, costs: float, saves: float}|null} */
    public function shown(Diagnosis $diagnosis): array
    {
        $options = $this->remedies->of($diagnosis);
        $order = $this->remedies->order($options, $diagnosis);
        $names = array_column(
            array_map(static fn(Priced $one): array => [$one->offer->key, $one->offer->name], $options),
            1,
            0,
        );

        return [
            'options' => array_map(
                fn(Priced $one): array => self::option($one, $this->causes?->by($one->offer, $diagnosis) ?? []),
                $options,
            ),
            'attempts' => array_map(
                static fn(Attempt $one): array => [
                    'remedy' => $one->option->key,
                    'label' => $names[$one->option->key],
                    'money' => $one->option->money,
                    'reached' => $one->reached,
                    'fixes' => $one->fixes,
                ],
                $order->attempts,
            ),
            'money' => $order->money,
            'test' =>
                $diagnosis->next === null
                    ? null
                    : [
                        'title' => (new Words($this->circuit))->test($diagnosis->next->test),
                        'costs' => $diagnosis->next->cost,
                        'saves' => max(0.0, $diagnosis->next->saves),
                    ],
        ];
    }

    /**
     * @param list<Left> $left
     *
     * @return Shown
     */
    private static function option(Priced $one, array $left): array
    {
        $offer = $one->offer;

        return [
            'key' => $offer->key,
            'label' => $offer->name,
            'kind' => $offer->kind,
            'parts' => $offer->parts,
            'price' => $offer->price,
            'labour' => $one->labour,
            'standing' => $one->standing,
            'comeBack' => $one->comeBack,
            'expected' => $one->expected,
            'perYear' => $one->perYear(),
            'fixes' => $one->fixes,
            'leadDays' => $offer->leadDays,
            'warrantyMonths' => $offer->warrantyMonths,
            'lifeYears' => $offer->lifeYears,
            'comeBackChance' => $offer->comeBack,
            'lost' => $offer->lost,
            'minutes' => $offer->minutes,
            'why' => $offer->why,
            'whyNot' => $offer->whyNot,
            'changes' => $offer->changes,
            'quotedBy' => $offer->quotedBy,
            'left' => $left,
        ];
    }
}
