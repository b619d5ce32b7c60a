<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

final class WhyTest extends TestCase
{
    private const MAP = ['off' => 'right', '1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'right'];

    public function testItNamesTheTwoSuspectsThatTheOutcomesTellApartWithTheOddsOfTheList(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::MAP);
        $shown = (new DiagnosisFormat($bench->circuit, $case, $bench->diagnose($case)))->shown('common-volts@3');
        self::assertNotNull($shown->card);
        self::assertMatchesRegularExpression(
            '/^Splits Resistor pack \d+% from pack plug and pigtail \d+%$/',
            $shown->card->why,
        );
        $odds = array_column($shown->suspects, 'probability', 'remedy');
        self::assertStringContainsString(round(100.0 * $odds['pack']) . '%', $shown->card->why);
        self::assertGreaterThan(0, $shown->left);
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testEveryProposedTestOfEveryFamilySaysWhyAndHowFarItIs(string $family): void
    {
        $bench = new Bench([], false, $family);
        $case = Bench::case([]);
        $shown = (new DiagnosisFormat($bench->circuit, $case, $bench->diagnose($case)))->shown();
        self::assertNotNull($shown->card);
        self::assertMatchesRegularExpression('/^(Splits .+ from .+%|Shows whether it is .+ now)$/', $shown->card->why);
        self::assertStringNotContainsString('{', $shown->card->why);
        self::assertGreaterThanOrEqual(1, $shown->left);
        self::assertLessThanOrEqual(9, $shown->left);
    }
}
