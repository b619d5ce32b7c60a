<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\TestCard;
use Ispira\Core\Reading\Reading;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DiagnosisFormatTest extends TestCase
{
    private const MAP = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];

    /** @return iterable<string, array{0: CaseFile}> */
    public static function cases(): iterable
    {
        yield 'nothing known' => [new CaseFile([])];
        yield 'a map' => [Bench::case(self::MAP)];
        yield 'a misfit' => [Bench::case(self::MAP, ['battery-volts@4' => 99.0])];
        yield 'a verdict' => [
            Bench::case(self::MAP, [
                'common-volts@3' => 0.01,
                'common-ohms' => null,
                'current@4' => 15.6,
                'spin' => 'free',
                'look-wheel' => 'clean',
                'look-pack-plug' => 'fine',
                'look-pack' => 'burnt',
                'wiggle-pack-plug' => 'steady',
            ]),
        ];
        $after = array_map(
            static fn(Reading $r): Reading => new Reading("x$r->id", $r->test, $r->value, episode: 1),
            Bench::case(self::MAP)->readings,
        );
        yield 'reopened' => [new CaseFile([...Bench::case(self::MAP)->readings, ...$after], ['pack'])];
        yield 'intermittent' => [Bench::case(['3' => 'cuts-out'], [], true)];
    }

    #[DataProvider('cases')]
    public function testWhatIsWrittenFitsTheSchema(CaseFile $case): void
    {
        $bench = new Bench();
        $format = new DiagnosisFormat($bench->circuit, $case, $bench->diagnose($case));
        $schema = (string) file_get_contents(__DIR__ . '/../../../docs/formats/diagnosis.schema.json');
        foreach ([null, 'common-ohms', 'look-pack', 'speed@direct', 'no such test'] as $chosen) {
            $written = json_decode(
                json_encode($format->shown($chosen), \JSON_THROW_ON_ERROR),
                false,
                64,
                \JSON_THROW_ON_ERROR,
            );
            $result = (new Validator())->validate($written, $schema);
            self::assertTrue($result->isValid(), json_encode($result->error()?->args(), \JSON_THROW_ON_ERROR));
        }
    }

    public function testOutcomesOfAChoiceShareOutTheSuspects(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::MAP);
        $card = (new TestCard($bench->circuit, $case, $bench->diagnose($case)))->of(
            $bench->circuit->tests['look-pack-plug'],
        );
        self::assertSame(['fine', 'burnt', 'corroded'], array_column($card->outcomes, 'value'));
        self::assertEqualsWithDelta(1.0, array_sum(array_column($card->outcomes, 'probability')), 0.05);
        $burnt = $card->outcomes[1];
        self::assertContains('pack-plug', array_column($burnt->remedies, 'remedy'));
    }

    public function testAFlueFanIsSpunByHandBeforeAnythingLiveIsMeasuredUnderTheSameCover(): void
    {
        $bench = new Bench([], false, 'flue-fan');
        $live = $bench->circuit->tests['sent-volts@full'];
        $way = static function (array $more) use ($bench, $live): array {
            $case = Bench::case(['off' => 'right', 'full' => 'slow'], ['noise' => 'squeal', ...$more]);

            return array_column(
                (new TestCard($bench->circuit, $case, $bench->diagnose($case)))->of($live)->onTheWay,
                'key',
            );
        };
        self::assertSame('spin', $way([])[0], 'power off, first of what stands above the leads');
        self::assertNotContains('spin', $way(['spin' => 'free']));
    }

    public function testBandsOfANumberNameWhatTheyMean(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::MAP);
        $card = (new TestCard($bench->circuit, $case, $bench->diagnose($case)))->of(
            $bench->circuit->tests['common-volts@3'],
        );
        self::assertStringStartsWith('under ', $card->outcomes[0]->label);
        self::assertLessThan(2.0, $card->outcomes[0]->to);
        self::assertSame('pack', $card->outcomes[0]->remedies[0]->remedy);
        $high = $card->outcomes[\count($card->outcomes) - 1];
        self::assertSame('pack-plug', $high->remedies[0]->remedy);
        self::assertGreaterThan(10.0, $high->from);
        foreach (\array_slice($card->outcomes, 1) as $n => $band) {
            self::assertGreaterThanOrEqual($card->outcomes[$n]->to, $band->from, 'bands do not overlap');
        }
        self::assertSame('pack plug, common pin', $card->red);
        self::assertSame('battery minus', $card->black);
        self::assertNotEmpty($card->cautions);
    }

    public function testAnOpenPredictionHasItsOwnBandAndMark(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::MAP);
        $card = (new TestCard($bench->circuit, $case, $bench->diagnose($case)))->of(
            $bench->circuit->tests['common-ohms'],
        );
        $last = $card->outcomes[\count($card->outcomes) - 1];
        self::assertSame('over range', $last->label);
        self::assertNull($last->from);
        self::assertNull($card->marks[0]->from, 'the leading suspect predicts an open circuit');
    }

    public function testReasonsCarryTheNumbers(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::MAP, ['common-volts@3' => 12.6]);
        $shown = (new DiagnosisFormat($bench->circuit, $case, $bench->diagnose($case)))->shown();
        $plug = $shown->suspects[0];
        self::assertSame('pack-plug', $plug->remedy);
        $sentences = implode(' ', array_column($plug->reasons, 'sentence'));
        self::assertMatchesRegularExpression(
            '/12\.6 V\. \d+\.\d V expected with “no contact in the pack plug”; [\d.]+ V with “/u',
            $sentences,
        );
        self::assertStringContainsString('Positions 1, 2, 3 behave', $sentences);
        self::assertStringNotContainsString('{', $sentences);
    }
}
