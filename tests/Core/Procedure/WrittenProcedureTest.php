<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Ispira\Core\Acts\WrittenProcedure;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureLibrary;
use Ispira\Core\Procedure\TypedProcedure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WrittenProcedureTest extends TestCase
{
    /** @return iterable<string, array{0: Procedure}> */
    public static function shipped(): iterable
    {
        foreach ((new ProcedureLibrary())->all() as $key => $procedure) {
            yield $key => [$procedure];
        }
    }

    #[DataProvider('shipped')]
    public function testWhatShipsIsTheSameWhenItGoesThroughTheFields(Procedure $procedure): void
    {
        self::assertEquals($procedure, self::written((array) self::fields($procedure), $procedure->key));
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: array<string, string>}> */
    public static function wrong(): iterable
    {
        yield 'nothing at all' => [
            ['title' => ' ', 'summary' => '', 'cautions' => "\n", 'abort' => '', 'steps' => []],
            [
                'title' => 'Say what',
                'summary' => 'one sentence',
                'cautions' => 'can hurt',
                'abort' => 'safe',
                'steps' => 'one step',
            ],
        ];
        yield 'no object where one is due' => [['steps' => ['x', 7]], ['steps.0.text' => 'what is done']];
        yield 'a title as long as a book' => [['title' => str_repeat('a', 121)], ['title' => 'under 120']];
        foreach (['soon', '0:00', '4:60', '-3 min', '25 h', '5', '1e3 s'] as $time) {
            yield "a wait of $time" => [self::step(['least' => $time, 'reason' => 'x']), ['steps.0.least' => '4:30']];
        }
        yield 'a wait without a reason' => [self::step(['least' => '5 min']), ['steps.0.reason' => 'why it is waited']];
        yield 'a reason without a wait' => [self::step(['reason' => 'x']), ['steps.0.least' => 'leave the wait out']];
        yield 'a wait that ends before it begins' => [
            self::step(['least' => '5 min', 'most' => '4:59', 'reason' => 'x']),
            ['steps.0.most' => 'not below'],
        ];
        yield 'another way from nothing' => [
            self::step(['otherwise' => 'stop']),
            ['steps.0.expect' => 'should be seen'],
        ];
        yield 'a text that is too long' => [
            self::step(['text' => str_repeat('b', 1001)]),
            ['steps.0.text' => 'under 1000'],
        ];
    }

    /**
     * @param array<string, mixed>  $change
     * @param array<string, string> $says
     */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsSaidAtItsField(array $change, array $says): void
    {
        $good = (array) self::fields((new ProcedureLibrary())->all()['pack-swap']);
        try {
            self::written($change + $good, 'pack-swap');
            self::fail('It was taken.');
        } catch (ParameterError $error) {
            foreach ($says as $field => $words) {
                self::assertStringContainsString(
                    $words,
                    $error->messages[$field] ?? implode(' ', array_keys($error->messages)),
                );
            }
        }
    }

    public function testTimesAreTypedAsTheyAreSaid(): void
    {
        $good = (array) self::fields((new ProcedureLibrary())->all()['pack-swap']);
        foreach (
            ['4:30' => 270, '90 s' => 90, '5 min' => 300, '2h' => 7200, '0:01' => 1, '24 h' => 86_400]
            as $typed => $seconds
        ) {
            $step = self::step(['least' => $typed, 'reason' => 'x']);
            self::assertSame($seconds, self::written($step + $good, 'pack-swap')->steps[0]->wait?->least, $typed);
        }
    }

    public function testANewOneIsNamedAfterItsTitle(): void
    {
        self::assertSame('board-of-the-ferry', WrittenProcedure::keyOf('Board of the ferry!'));
        self::assertSame('own-24-v-output', WrittenProcedure::keyOf('24 V output'));
        self::assertSame('own-procedure', WrittenProcedure::keyOf('Ω'));
        self::assertSame('own-new', WrittenProcedure::keyOf('New'), 'what is an address is no key');
        self::assertLessThanOrEqual(59, \strlen(WrittenProcedure::keyOf(str_repeat('long ', 40))));
    }

    /** @param array<string, mixed> $given */
    private static function written(array $given, string $key): Procedure
    {
        return WrittenProcedure::read($given, $key, array_keys(FamilyRegistry::shipped()->all()));
    }

    private static function fields(Procedure $procedure): mixed
    {
        return json_decode((string) json_encode(TypedProcedure::of($procedure)), true);
    }

    /**
     * @param array<string, mixed> $step
     *
     * @return array<string, mixed>
     */
    private static function step(array $step): array
    {
        return ['steps' => [$step + ['text' => 'Look at it']]];
    }
}
