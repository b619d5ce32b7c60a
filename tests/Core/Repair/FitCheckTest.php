<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Repair\Fit\FitAttribute;
use Ispira\Core\Repair\Fit\FitCheck;
use Ispira\Core\Repair\Fit\FitFinding;
use Ispira\Core\Repair\Fit\FitVerdict;
use Ispira\Core\Repair\Fit\PartType;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\Acceptance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FitCheckTest extends TestCase
{
    /** @return iterable<string, array{0: PartType, 1: FitAttribute, 2: string, 3: string, 4: FitVerdict}> */
    public static function cases(): iterable
    {
        yield 'too deep' => [PartType::Motor, FitAttribute::Depth, '120', '128', FitVerdict::Wrong];
        yield 'shallower' => [PartType::Motor, FitAttribute::Depth, '120 mm', '112', FitVerdict::Compatible];
        yield 'as deep' => [PartType::Pack, FitAttribute::Depth, '41', '41,3', FitVerdict::Same];
        yield 'turns the other way' => [PartType::Motor, FitAttribute::Rotation, 'cw', 'ccw', FitVerdict::Wrong];
        yield 'turns either way' => [PartType::Motor, FitAttribute::Rotation, 'cw', 'reversible', FitVerdict::Adapt];
        yield 'other sex' => [PartType::Module, FitAttribute::ConnectorSex, 'pins', 'sockets', FitVerdict::Adapt];
        yield 'other voltage' => [PartType::Motor, FitAttribute::Voltage, '12 V', '24', FitVerdict::Wrong];
        yield 'same mains' => [PartType::Motor, FitAttribute::Voltage, '230', '240', FitVerdict::Compatible];
        yield 'thinner shaft' => [PartType::Motor, FitAttribute::ShaftDiameter, '12.7', '10', FitVerdict::Adapt];
        yield 'thicker shaft' => [PartType::Motor, FitAttribute::ShaftDiameter, '10', '12.7', FitVerdict::Wrong];
        yield 'shorter shaft' => [PartType::Motor, FitAttribute::ShaftLength, '115', '90', FitVerdict::Wrong];
        yield 'inverted command' => [PartType::Module, FitAttribute::Control, 'pwm-high', 'pwm-low', FitVerdict::Wrong];
        yield 'other frequency' => [PartType::Module, FitAttribute::ControlHertz, '100', '400', FitVerdict::Wrong];
        yield 'weak motor' => [PartType::Motor, FitAttribute::Power, '370', '250', FitVerdict::Wrong];
        yield 'draws more' => [PartType::Motor, FitAttribute::Amps, '17', '21', FitVerdict::Adapt];
        yield 'module rated higher' => [PartType::Module, FitAttribute::Amps, '18', '30', FitVerdict::Compatible];
        yield 'module rated lower' => [PartType::Module, FitAttribute::Amps, '30', '18', FitVerdict::Wrong];
        yield 'more taps' => [PartType::Motor, FitAttribute::Speeds, '3', '4', FitVerdict::Adapt];
        yield 'fewer taps' => [PartType::Motor, FitAttribute::Speeds, '4', '3', FitVerdict::Wrong];
        yield 'capacitor in tolerance' => [
            PartType::Capacitor,
            FitAttribute::Microfarads,
            '7.5',
            '7.9 µF',
            FitVerdict::Compatible,
        ];
        yield 'capacitor of lower volts' => [
            PartType::Capacitor,
            FitAttribute::RatedVolts,
            '440',
            '370',
            FitVerdict::Wrong,
        ];
        yield 'capacitor of higher volts' => [
            PartType::Capacitor,
            FitAttribute::RatedVolts,
            '370',
            '440',
            FitVerdict::Compatible,
        ];
        yield 'other coil' => [PartType::Relay, FitAttribute::CoilVolts, '24', '230', FitVerdict::Wrong];
        yield 'stands more heat' => [PartType::Motor, FitAttribute::ThermalClass, 'b', 'f', FitVerdict::Compatible];
        yield 'slot turned away' => [
            PartType::Motor,
            FitAttribute::Cooling,
            'slot to the duct',
            'slot to the wall',
            FitVerdict::Wrong,
        ];
        yield 'used module' => [PartType::Module, FitAttribute::Software, 'learned', 'learned', FitVerdict::Adapt];
        yield 'no number' => [PartType::Motor, FitAttribute::Depth, 'deep', '41', FitVerdict::Unknown];
        yield 'not known' => [PartType::Motor, FitAttribute::Depth, '41', '', FitVerdict::Unknown];
    }

    #[DataProvider('cases')]
    public function testOneAttribute(
        PartType $type,
        FitAttribute $attribute,
        string $old,
        string $new,
        FitVerdict $verdict,
    ): void {
        $finding = array_values(
            array_filter(
                FitCheck::compare($type, [$attribute->value => $old], [$attribute->value => $new]),
                static fn(FitFinding $one): bool => $one->attribute === $attribute,
            ),
        )[0];
        self::assertSame($verdict, $finding->verdict);
        self::assertTrue(
            $verdict === FitVerdict::Same || $verdict === FitVerdict::Compatible || $finding->how !== '',
            'It says what to do.',
        );
    }

    public function testAPartAgainstItselfIsTheSameInEverything(): void
    {
        foreach (PartType::cases() as $type) {
            $data = [];
            foreach ($type->attributes() as $attribute) {
                $data[$attribute->value] = $attribute->isNumber()
                    ? '12'
                    : array_key_first($attribute->choices()) ?? 'as drawn';
            }
            $findings = FitCheck::compare($type, $data, $data);
            self::assertSame(FitVerdict::Same, FitCheck::worst($findings), $type->value);
            self::assertSame(FitVerdict::Unknown, FitCheck::worst(FitCheck::compare($type, [], $data)));
        }
    }

    public function testAWrongPartIsTakenOnlyWithAReason(): void
    {
        $fit = [
            'when' => 'purchase',
            'type' => 'motor',
            'candidate' => 'X-9',
            'old' => ['depth' => '120'],
            'new' => ['depth' => '131'],
            'accepted' => true,
        ];
        try {
            (new Acceptance(Ledger::of([])))->check(Entry::read('f', EntryKind::Fit, $fit));
            self::fail('It was taken.');
        } catch (EntryRefused $refused) {
            self::assertSame('reason', $refused->field);
            self::assertStringContainsString('Deeper by 11 mm', $refused->getMessage());
        }
        (new Acceptance(Ledger::of([])))->check(Entry::read('f', EntryKind::Fit, ['accepted' => false] + $fit));
        (new Acceptance(Ledger::of([])))->check(
            Entry::read('f', EntryKind::Fit, $fit + ['reason' => 'spacer ring made, 12 mm']),
        );
        $this->expectException(EntryRefused::class);
        (new Acceptance(Ledger::of([])))->check(Entry::read('f', EntryKind::Fit, ['type' => 'spoon'] + $fit));
    }

    public function testWhatComesWithItsHarnessIsAdaptedNotWrong(): void
    {
        $old = ['pins' => '4', 'connectorKey' => 'grey', 'depth' => '40'];
        $other = ['pins' => '3', 'connectorKey' => 'black', 'depth' => '52'];
        $verdicts = static fn(array $new): array => array_column(
            array_map(
                static fn($one): array => [$one->attribute->value, $one->verdict],
                FitCheck::compare(PartType::Module, $old, $new),
            ),
            1,
            0,
        );
        self::assertSame(FitVerdict::Wrong, $verdicts($other)['pins']);
        foreach (['harness', 'both'] as $brings) {
            $with = $verdicts($other + ['brings' => $brings]);
            self::assertSame(FitVerdict::Adapt, $with['pins']);
            self::assertSame(FitVerdict::Adapt, $with['connectorKey']);
            self::assertSame(FitVerdict::Wrong, $with['depth'], 'A harness makes no room.');
        }
        self::assertSame(FitVerdict::Wrong, $verdicts($other + ['brings' => 'bracket'])['pins']);
        self::assertSame(FitVerdict::Same, $verdicts(['brings' => 'nothing'])['brings']);
        self::assertArrayHasKey('power', $verdicts([]), 'A module has its horsepower.');
        self::assertArrayHasKey('rotation', $verdicts([]));
    }
}
