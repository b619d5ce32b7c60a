<?php

declare(strict_types=1);

namespace Tests\Core\Kernel;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\NumberLanguage;
use Ispira\Core\Pages\PlanView;
use Ispira\Core\Planning\PlannerRegistry;
use PHPUnit\Framework\TestCase;

final class NumberLanguageTest extends TestCase
{
    public function testNumbersOfASentenceAreSaidWithACommaAndNothingElseIs(): void
    {
        foreach (
            [
                '12.4 V' => '12,4 V',
                'draws 18.5 A, 3 of 4' => 'draws 18,5 A, 3 of 4',
                'from 1,050.5 to 1,250 1/min' => "from 1\u{202f}050,5 to 1\u{202f}250 1/min",
                '-0.6 V.' => '-0,6 V.',
                'at 10.0.0.1, version 2.1.4' => 'at 10.0.0.1, version 2.1.4',
                'on 1, 2, 3' => 'on 1, 2, 3',
                'Pin 3, then 4.' => 'Pin 3, then 4.',
                'part OV-0087' => 'part OV-0087',
                '' => '',
            ]
            as $point => $comma
        ) {
            self::assertSame($comma, NumberLanguage::Comma->said($point));
            self::assertSame($point, NumberLanguage::Point->said($point));
        }
        self::assertSame(['a' => ['1,5']], NumberLanguage::Comma->all(['a' => ['1.5']]));
    }

    public function testWordsSayNumbersInThePersonsLanguage(): void
    {
        $family = FamilyRegistry::shipped()->get('stepped-blower');
        $circuit = $family->circuit($family->parameters()->read([]));
        $words = new Words($circuit, new DisplayUnits(numbers: NumberLanguage::Comma));
        self::assertSame('12,4 V', $words->number(12.41, Quantity::Volts));
        self::assertSame('0,00 V', $words->number(-0.001, Quantity::Volts));
        self::assertSame('1,2 kΩ', $words->number(1234.0, Quantity::Ohms));
        self::assertSame('12.4 V', (new Words($circuit))->number(12.41, Quantity::Volts));
    }

    public function testEveryPlannerSaysItsExampleInBothLanguages(): void
    {
        foreach ((new PlannerRegistry())->all() as $planner) {
            $plan = $planner->plan($planner->parameters()->read($planner->parameters()->defaults()));
            $comma = PlanView::of($plan, NumberLanguage::Comma);
            foreach ($comma->figures as $number => $figure) {
                self::assertDoesNotMatchRegularExpression('/\d\.\d/', $figure->value, $planner->key());
                self::assertSame($plan->figures[$number]->standing, $figure->standing);
            }
            self::assertEquals($plan->figures, PlanView::of($plan)->figures);
        }
    }
}
