<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * What it takes from the odds as they stand to a machine that runs, without another test, for a page.
 */
final readonly class Outlook
{
    /** @param CauseLeft|null $causes what was measured that a way leaves in the machine; null to leave it out */
    public function __construct(
        private CircuitModel $circuit,
        private Remedies $remedies,
        private ?CauseLeft $causes = null,
    ) {}

    public function shown(Diagnosis $diagnosis): OutlookShown
    {
        $options = $this->remedies->of($diagnosis);
        $order = $this->remedies->order($options, $diagnosis);
        $names = array_column(
            array_map(static fn(Priced $one): array => [$one->offer->key, $one->offer->name], $options),
            1,
            0,
        );

        return new OutlookShown(
            options: array_map(
                fn(Priced $one): RemedyShown => self::option($one, $this->causes?->by($one->offer, $diagnosis) ?? []),
                $options,
            ),
            attempts: array_map(
                static fn(Attempt $one): AttemptShown => new AttemptShown(
                    remedy: $one->option->key,
                    label: $names[$one->option->key],
                    money: $one->option->money,
                    reached: $one->reached,
                    fixes: $one->fixes,
                ),
                $order->attempts,
            ),
            money: $order->money,
            test: $diagnosis->next === null
                ? null
                : new TestWorth(
                    title: (new Words($this->circuit))->test($diagnosis->next->test),
                    costs: $diagnosis->next->cost,
                    saves: max(0.0, $diagnosis->next->saves),
                    makesSure: $diagnosis->next->makesSure,
                ),
        );
    }

    /**
     * @param list<LeftShown> $left
     */
    private static function option(Priced $one, array $left): RemedyShown
    {
        $offer = $one->offer;

        return new RemedyShown(
            key: $offer->key,
            label: $offer->name,
            kind: $offer->kind,
            parts: $offer->parts,
            price: $offer->price,
            labour: $one->labour,
            standing: $one->standing,
            comeBack: $one->comeBack,
            expected: $one->expected,
            perYear: $one->perYear(),
            fixes: $one->fixes,
            leadDays: $offer->leadDays,
            warrantyMonths: $offer->warrantyMonths,
            lifeYears: $offer->lifeYears,
            comeBackChance: $offer->comeBack,
            lost: $offer->lost,
            minutes: $offer->minutes,
            why: $offer->why,
            whyNot: $offer->whyNot,
            changes: $offer->changes,
            quotedBy: $offer->quotedBy,
            left: $left,
        );
    }
}
