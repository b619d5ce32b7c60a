<?php

declare(strict_types=1);

namespace Tests\Core\Plug;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Plug\PlugFace;
use Ispira\Core\Device\Plug\PlugPin;
use Ispira\Core\Device\Plug\PlugsOfTest;
use Ispira\Core\Device\Plug\WireColour;
use Ispira\Core\Repair\Fit\FitFaces;
use Ispira\Core\Repair\Work\WireFaces;
use Ispira\Core\Repair\Work\WireRow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

final class PlugFaceTest extends TestCase
{
    /** @return iterable<string, array{0: string, 1: string|null, 2: string|null}> */
    public static function colours(): iterable
    {
        yield 'a word' => ['blue', 'blue', null];
        yield 'a stripe' => ['White with a red stripe', 'white', 'red'];
        yield 'letters' => ['GN/YE', 'green', 'yellow'];
        yield 'another spelling' => ['Gray', 'grey', null];
        yield 'in a sentence' => ['brown as a rule', 'brown', null];
        yield 'no part of a word' => ['feed, scarred, bluish', null, null];
        yield 'nothing' => ['', null, null];
    }

    #[DataProvider('colours')]
    public function testAColourIsReadAsItIsSaid(string $text, ?string $base, ?string $stripe): void
    {
        $colour = WireColour::read($text);
        self::assertSame([$base, $stripe], [$colour?->base, $colour?->stripe]);
    }

    public function testNumberedPinsStandByTheirNumbersAndTheUntoldOnesToo(): void
    {
        $face = PlugFace::of('Pack plug', [new PlugPin('5', 'common'), new PlugPin('2', 'tap')], 8);
        self::assertNotNull($face);
        self::assertTrue($face->numbered);
        self::assertSame(['1', '2', '3', '4', '5', '6', '7', '8'], array_column($face->pins, 'label'));
        self::assertSame(['', 'tap', '', '', 'common', '', '', ''], array_column($face->pins, 'words'));
        self::assertSame([2, 4], [$face->rows, $face->columns]);
        self::assertSame([1, 0], [$face->pins[4]->row, $face->pins[4]->column]);
        $named = PlugFace::of('Fan plug', [new PlugPin('fast', 'fast'), new PlugPin('1', 'slow')]);
        self::assertNotNull($named);
        self::assertFalse($named->numbered);
        self::assertSame(['fast', '1'], array_column($named->pins, 'label'));
        self::assertNull(PlugFace::of('Nothing', []));
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testAPlugOfATestShowsItsLeadsAndPinsOfTheSamePlugOnly(string $family): void
    {
        $circuit = self::circuit($family);
        $met = 0;
        foreach ($circuit->tests as $test) {
            foreach (PlugsOfTest::of($circuit, $test->probe->at, $test->probe->against) as $face) {
                ++$met;
                $leads = array_values(array_filter(array_column($face->pins, 'lead')));
                self::assertNotSame([], $leads, $test->key);
                self::assertSame($leads, array_values(array_unique($leads)), $test->key);
                $labels = array_column($face->pins, 'label');
                self::assertSame($labels, array_values(array_unique($labels)));
                self::assertNotContains('', $labels);
                foreach (['A' => $test->probe->at, 'B' => $test->probe->against] as $lead => $node) {
                    $pin = array_column($face->pins, null, 'lead')[$lead] ?? null;
                    if ($pin !== null) {
                        self::assertStringContainsString($pin->words, $circuit->places[$node]);
                        $plug = str_contains(mb_strtolower($circuit->places[$node]), mb_strtolower($face->title));
                        self::assertTrue($plug, "$face->title is not the plug of {$circuit->places[$node]}");
                    }
                }
            }
        }
        // Families whose places name no plug of several pins draw none.
        self::assertSame(\in_array($family, ['control-output', 'radiator-fan', 'tapped-blower'], true), $met === 0);
    }

    public function testMappedWiresStandAtTheirNumbersInTheirColours(): void
    {
        $family = FamilyRegistry::shipped()->get('five-wire-fan');
        $values = ['map' => 'own', 'colour-vm' => 'brown', 'pin-vm' => '1', 'colour-gnd' => 'black', 'pin-gnd' => '4'];
        foreach (
            ['vcc' => ['white', '5'], 'vsp' => ['yellow', '6'], 'fg' => ['grey', '7']]
            as $key => [$colour, $pin]
        ) {
            $values += ["colour-$key" => $colour, "pin-$key" => $pin];
        }
        $circuit = $family->circuit($family->parameters()->read($values));
        [$face] = PlugsOfTest::of($circuit, 'vm', 'gnd');
        $told = static fn(PlugPin $pin): array => [$pin->label, $pin->lead, $pin->colour?->base];
        self::assertSame(
            [
                ['1', 'A', 'brown'],
                ['2', null, null],
                ['3', null, null],
                ['4', 'B', 'black'],
                ['5', null, 'white'],
                ['6', null, 'yellow'],
                ['7', null, 'grey'],
            ],
            array_map($told, $face->pins),
        );
    }

    public function testWiresRunFromTerminalToTerminal(): void
    {
        $row = static fn(
            string $function,
            string $from,
            string $to,
            string $colour,
            bool $done,
        ): WireRow => new WireRow(
            id: $function,
            function: $function,
            from: $from,
            to: $to,
            colour: $colour,
            label: $function[0],
            moved: $done,
            checked: $done,
        );
        $faces = WireFaces::of([
            $row('common', '5', 'COM', 'black', true),
            $row('low', '1', 'LO ', 'blue/white', false),
        ]);
        self::assertNotNull($faces);
        self::assertSame(['1', '2', '3', '4', '5'], array_column($faces->old->pins, 'label'));
        self::assertSame(['COM', 'LO'], array_column($faces->new->pins, 'label'));
        self::assertSame([true, false], array_column($faces->paths, 'done'));
        self::assertSame(['LO', 'white'], [$faces->paths[1]->to, $faces->paths[1]->colour?->stripe]);
        $shared = WireFaces::of([$row('feed', '1', '1', 'red', false), $row('lamp', '2', '1', 'red', false)]);
        self::assertSame('feed; lamp', $shared?->new->pins[0]->words, 'two wires on one terminal');
        self::assertNull(WireFaces::of([]));
    }

    public function testConnectorsAreDrawnAsTheyWereDescribed(): void
    {
        $old = [
            'pins' => '4',
            'connectorSex' => 'pins',
            'connectorKey' => 'rib left',
            'pinFunctions' => '1 feed, 2: black ground; 4 tap 2',
        ];
        $faces = FitFaces::of($old, ['connectorSex' => 'wires']);
        self::assertSame(['feed', 'black ground', '', 'tap 2'], array_column($faces?->old->pins ?? [], 'words'));
        self::assertSame([false, 'rib left'], [$faces?->old?->sockets, $faces?->old?->key]);
        self::assertSame('black', $faces?->old?->pins[1]->colour?->base);
        self::assertNull($faces->new, 'bare wires have no face');
        self::assertNull(FitFaces::of([], ['pins' => 'some']));
        self::assertCount(40, FitFaces::of(['pins' => '99'], [])->old->pins ?? []);
    }

    private static function circuit(string $family): CircuitModel
    {
        $family = FamilyRegistry::shipped()->get($family);

        return $family->circuit($family->parameters()->read([]));
    }
}
