<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\NotYet;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureError;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\ProcedureLibrary;
use Ispira\Core\Procedure\Run;
use Ispira\Core\Procedure\StoredCharge;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProcedureTest extends TestCase
{
    /** @return iterable<string, array{0: Procedure}> */
    public static function shipped(): iterable
    {
        foreach ((new ProcedureLibrary())->all() as $key => $procedure) {
            yield $key => [$procedure];
        }
    }

    #[DataProvider('shipped')]
    public function testEveryProcedureHasItsCautionsFirstAndAWayOut(Procedure $procedure): void
    {
        self::assertGreaterThanOrEqual(2, \count($procedure->cautions));
        self::assertStringContainsString('Local code', $procedure->cautions[0]);
        self::assertNotSame([], $procedure->abort);
        $families = FamilyRegistry::shipped()->all();
        foreach ($procedure->families as $family) {
            self::assertArrayHasKey($family, $families);
        }
        foreach ($procedure->steps as $step) {
            if ($step->wait !== null) {
                self::assertNotSame('', $step->wait->reason, $step->text);
                self::assertGreaterThan(0, $step->wait->least);
            }
            if ($step->otherwise !== null) {
                self::assertNotNull($step->expect, $step->text);
            }
        }
        $written = (string) json_encode(ProcedureFormat::toArray($procedure));
        self::assertEquals($procedure, ProcedureFormat::read($written));
        $result = (new Validator())->validate(
            json_decode($written),
            (string) file_get_contents(__DIR__ . '/../../../docs/formats/procedure.schema.json'),
        );
        self::assertTrue($result->isValid(), (string) json_encode($result->error()?->args()));
    }

    public function testAllThatAreNeededShip(): void
    {
        self::assertEqualsCanonicalizing(
            [
                'cabin-blower-refit',
                'module-splice',
                'supply-commissioning',
                'board-many-wires',
                'stored-charge',
                'module-rotation',
                're-learn',
                'tap-change',
                'board-swap',
                'sequencer-conversion',
                'wheel-and-motor',
                'flue-fan-clean',
                'wiper-park',
                'battery-off',
                'radiator-fan-swap',
                'pack-swap',
                'output-proof',
                'bench-run',
                'door-check',
            ],
            array_keys((new ProcedureLibrary())->all()),
        );
        foreach (array_keys(FamilyRegistry::shipped()->all()) as $family) {
            self::assertNotSame(
                [],
                array_filter(
                    (new ProcedureLibrary())->all(),
                    static fn(Procedure $one): bool => $one->families !== [] && $one->serves($family),
                ),
                "$family has a procedure of its own",
            );
        }
    }

    public function testAWaitRunsOnTheClockThatIsGiven(): void
    {
        $run = Run::of($this->short(), 1000.0, []);
        self::assertSame(60.0, $run->remaining(1000.0));
        self::assertEqualsWithDelta(17.5, $run->remaining(1042.5), 1e-9);
        try {
            $run->done(0, 1042.5, true, false);
            self::fail('It was too early.');
        } catch (NotYet $notYet) {
            self::assertSame('Not yet: 0:18 to go. It cools.', $notYet->getMessage());
        }
        self::assertFalse($run->isLate(1100.0));
        self::assertTrue($run->isLate(1121.0));
        $done = $run->done(0, 1060.0, true, false);
        $next = Run::of($this->short(), 1000.0, [$done]);
        self::assertSame(1, $next->step);
        self::assertSame(0.0, $next->remaining(1060.0));
    }

    public function testAStepThatWasBegunAnewWaitsAnew(): void
    {
        $run = Run::of($this->short(), 1000.0, [new Marked(MarkKind::Again, 0, 1050.0)]);
        self::assertSame(0, $run->step);
        self::assertSame(60.0, $run->remaining(1050.0));
    }

    public function testWhatIsExpectedHasToBeSeenAndWhatCannotBeUndoneConfirmed(): void
    {
        $run = Run::of($this->short(), 0.0, [new Marked(MarkKind::Done, 0, 60.0)]);
        $this->refused($run, 1, seen: false, confirmed: false, says: 'Look at the screw.');
        $run = Run::of($this->short(), 0.0, [new Marked(MarkKind::Done, 0, 60.0), new Marked(MarkKind::Done, 1, 61.0)]);
        $this->refused($run, 2, seen: true, confirmed: false, says: 'cannot be undone. A wire lies behind');
        self::assertSame(MarkKind::Done, $run->done(2, 70.0, true, true)->kind);
    }

    public function testASecondPressDoesNotDoTheNextStep(): void
    {
        $this->refused(
            Run::of($this->short(), 0.0, [new Marked(MarkKind::Done, 0, 60.0)]),
            0,
            seen: true,
            confirmed: true,
            says: 'not up any more',
        );
    }

    public function testTheEndAndTheBreakingOff(): void
    {
        $all = array_map(static fn(int $n): Marked => new Marked(MarkKind::Done, $n, 60.0 + $n), [0, 1, 2]);
        $run = Run::of($this->short(), 0.0, $all);
        self::assertTrue($run->isFinished());
        self::assertNull($run->current());
        $broken = Run::of($this->short(), 0.0, [new Marked(MarkKind::Aborted, 0, 5.0, 'phone')]);
        self::assertFalse($broken->isFinished());
        self::assertSame('phone', $broken->aborted);
        $this->refused($broken, 0, seen: true, confirmed: true, says: 'not up any more');
    }

    public function testWhatADeviceWaitedCountsAsFarAsItCanHavePassed(): void
    {
        $park = (new ProcedureLibrary())->all()['wiper-park'];
        $away = static fn(int $step, float $at, float $waited): Marked => new Marked(
            MarkKind::Done,
            $step,
            $at,
            waited: $waited,
        );
        // Begun at 1000 with the server; it hears of three steps at once at 1100, the third after ten seconds of wait.
        $heard = Run::of($park, 1000.0, [$away(0, 1100.0, 4.0), $away(1, 1100.0, 3.0)]);
        self::assertSame(10.0, $heard->remaining(1100.0), 'by the server\'s clock it begins only now');
        $mark = $heard->done(2, 1100.0, true, false, 11.0);
        self::assertSame(11.0, $mark->waited);
        $this->refused($heard, 2, seen: true, confirmed: true, says: 'Not yet: 0:01 to go', at: 1100.0, waited: 9.0);
        // A clock that was set says that an hour was waited, where ten seconds have passed since the begin.
        $early = Run::of($park, 1000.0, [$away(0, 1010.0, 4.0), $away(1, 1010.0, 3.0)]);
        $this->refused($early, 2, seen: true, confirmed: true, says: 'Not yet: 0:02', at: 1010.0, waited: 3600.0);
        // What was done with the server in reach begins the count anew.
        $back = Run::of($park, 1000.0, [$away(0, 1100.0, 4.0), new Marked(MarkKind::Done, 1, 1200.0)]);
        $this->refused($back, 2, seen: true, confirmed: true, says: 'Not yet: 0:03', at: 1202.0, waited: 60.0);
        // Begun on a device: its first wait goes by when the server heard of it.
        self::assertSame(1100.0, Run::of($park, 900.0, [], 1100.0)->since);
    }

    public function testAStoredChargeIsWaitedForByItsCircuit(): void
    {
        // 470 µF over 100 kΩ from 325 V to 30 V by hand: 47 s · ln(10.83) = 112.0 s, and twice that.
        self::assertEqualsWithDelta(224.0, (new StoredCharge(470.0, 1e5, 325.0))->seconds(), 0.2);
        self::assertSame(0.0, (new StoredCharge(470.0, 1e5, 24.0))->seconds());
        $procedure = (new ProcedureLibrary())->all()['stored-charge'];
        self::assertTrue($procedure->asksForCapacitor());
        $least = static fn(Procedure $one): int => max(
            array_map(static fn($step): int => $step->wait->least ?? 0, $one->steps),
        );
        self::assertSame(
            300,
            $least($procedure->withCharge(new StoredCharge(470.0, 1e5, 325.0))),
            'Never less than five minutes.',
        );
        $long = $procedure->withCharge(new StoredCharge(2350.0, 1e5, 325.0));
        self::assertSame(1120, $least($long));
        self::assertEquals($long, ProcedureFormat::read((string) json_encode(ProcedureFormat::toArray($long))));
        $this->expectException(\InvalidArgumentException::class);
        new StoredCharge(0.0, 1e5, 325.0);
    }

    /** @return iterable<string, array{0: string, 1: string}> */
    public static function refusedTexts(): iterable
    {
        $good = ProcedureFormat::toArray((new ProcedureLibrary())->all()['pack-swap']);
        $with = static fn(array $change): string => (string) json_encode(array_replace($good, $change));
        yield 'no JSON' => ['{"format":', 'not complete JSON'];
        yield 'another format' => [$with(['format' => 'recipe']), 'format'];
        yield 'a bad key' => [$with(['key' => 'Pack Swap']), 'key'];
        yield 'no cautions' => [$with(['cautions' => []]), 'cautions'];
        yield 'no steps' => [$with(['steps' => []]), 'steps'];
        yield 'no way out' => [$with(['abort' => []]), 'abort'];
        yield 'an unknown field' => [$with(['colour' => 'red']), 'colour'];
        yield 'a wait without a reason' => [
            $with(['steps' => [['text' => 'Wait', 'wait' => ['least' => 10]]]]),
            'reason',
        ];
        yield 'a wait that ends before it begins' => [
            $with(['steps' => [['text' => 'Wait', 'wait' => ['least' => 10, 'most' => 5, 'reason' => 'x']]]]),
            'wait',
        ];
        yield 'an other way without what is expected' => [
            $with(['steps' => [['text' => 'Look', 'otherwise' => 'Stop']]]),
            'otherwise',
        ];
        yield 'a caution that is no text' => [$with(['cautions' => [1]]), 'cautions'];
    }

    #[DataProvider('refusedTexts')]
    public function testABadTextIsRefusedWithItsPlace(string $text, string $says): void
    {
        $this->expectException(ProcedureError::class);
        $this->expectExceptionMessageMatches("/$says/");
        ProcedureFormat::read($text);
    }

    private function refused(
        Run $run,
        int $step,
        bool $seen,
        bool $confirmed,
        string $says,
        float $at = 5000.0,
        ?float $waited = null,
    ): void {
        try {
            $run->done($step, $at, $seen, $confirmed, $waited);
            self::fail($says);
        } catch (NotYet $notYet) {
            self::assertStringContainsString($says, $notYet->getMessage());
        }
    }

    private function short(): Procedure
    {
        return ProcedureFormat::read(
            (string) json_encode([
                'format' => 'ispira-procedure',
                'version' => 1,
                'key' => 'short',
                'title' => 'Short',
                'summary' => 'For a test.',
                'families' => [],
                'cautions' => ['Careful.'],
                'abort' => ['Off.'],
                'steps' => [
                    ['text' => 'Let it cool', 'wait' => ['least' => 60, 'most' => 120, 'reason' => 'It cools.']],
                    ['text' => 'Look', 'expect' => 'Screw in', 'otherwise' => 'Look at the screw.'],
                    ['text' => 'Drill', 'confirm' => 'A wire lies behind; the other way is the cover.'],
                ],
            ]),
        );
    }
}
