<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\Drawing\DrawnElement;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Diagnosis\Trial\Policy;
use Ispira\Core\Diagnosis\Trial\Trial;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\TestCase;

/**
 * A family is one folder: a toy one works everywhere without a change elsewhere.
 */
final class ToyFamilyTest extends TestCase
{
    private function registry(): FamilyRegistry
    {
        return new FamilyRegistry([__DIR__ . '/Toy' => 'Tests\Core\Family\Toy']);
    }

    public function testItIsFoundByItsFolder(): void
    {
        self::assertSame(['bell'], array_keys($this->registry()->all()));
        self::assertTrue(FamilyRegistry::shipped()->has('stepped-blower'));
        $this->expectException(ParameterError::class);
        $this->registry()->get('stepped-blower');
    }

    public function testItIsDiagnosedToAVerdictThatAsksForTheCause(): void
    {
        $circuit = $this->registry()
            ->get('bell')
            ->circuit(['volts' => '6']);
        $case = new CaseFile([new Reading('a', 'speed@1', 'dead'), new Reading('b', 'button-volts', 0.01)]);
        $diagnosis = (new Engine())->diagnose($circuit, $case, new DecisionSettings());
        self::assertSame('button', $diagnosis->suspects[0]->remedy);
        self::assertGreaterThan(0.9, $diagnosis->suspects[0]->probability);
        $shown = (new DiagnosisFormat($circuit, $case, $diagnosis))->shown('look');
        self::assertNotNull($shown->card);
        self::assertSame('Look at the button', $shown->card->title);
    }

    public function testItsStripSheetFileAndTrialWork(): void
    {
        $family = $this->registry()->get('bell');
        $circuit = $family->circuit([]);
        self::assertSame(['off' => 0.0, '1' => 1.0], (new SoundCircuit($circuit))->speeds());
        $live = array_column(
            array_filter(
                (new SoundCircuit($circuit))->sheet($circuit->setUps['1'])->elements,
                static fn(DrawnElement $e): bool => $e->live,
            ),
            'id',
        );
        self::assertSame(['battery', 'button', 'wire', 'motor'], $live);
        $file = (new JobFileFormat($this->registry()))->read(
            '{"format":"ispira-job","version":1,"circuit":{"family":"bell"},"readings":[{"test":"look","value":"rusty"}]}',
        );
        self::assertSame('bell', $file->family);
        $trial = new Trial($family, 2);
        self::assertSame(['ordinary', 'volts 12'], array_keys($trial->variants()));
        $right = 0;
        $jobs = 0;
        foreach ($trial->run([], Policy::Engine, 5) as ['group' => $group, 'outcome' => $outcome]) {
            $jobs += $group === 'lasting' ? 1 : 0;
            $right += $group === 'lasting' && $outcome->right ? 1 : 0;
        }
        self::assertSame(15, $jobs);
        self::assertGreaterThanOrEqual(14, $right);
    }
}
