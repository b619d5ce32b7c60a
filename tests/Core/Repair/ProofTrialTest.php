<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Repair\Proof\ProofTrial;
use PHPUnit\Framework\TestCase;

final class ProofTrialTest extends TestCase
{
    /** Cured machines of a wider world go back far more rarely than those with a fault that nobody hears. */
    public function testChecksTellCuredMachinesFromThoseWithAnUnheardFault(): void
    {
        $sent = [0, 0];
        $once = [0, 0];
        foreach (['stepped-blower', 'control-output', 'flue-fan'] as $key) {
            $family = FamilyRegistry::shipped()->get($key);
            self::assertInstanceOf(Repairable::class, $family);
            $trial = new ProofTrial($family->circuit($family->parameters()->read([])), $family->repairSheet());
            foreach ([true, false] as $row => $cured) {
                for ($job = 0; $job < 40; ++$job) {
                    $proved = $trial->job($cured, new RandomSource(crc32("proof/$key/$row/$job")));
                    $once[$row] += (int) ($proved['once'] ?? false);
                    $sent[$row] += (int) ($proved['sent'] ?? false);
                }
            }
        }
        self::assertLessThan($once[0], $sent[0], 'A second measurement spares some.');
        self::assertGreaterThan(2 * $sent[0], $sent[1]);
        self::assertGreaterThan($sent[0] / $once[0], $sent[1] / $once[1], 'It spares sound machines more often.');
    }

    public function testTheSameSeedProvesTheSame(): void
    {
        $family = FamilyRegistry::shipped()->get('wiper');
        self::assertInstanceOf(Repairable::class, $family);
        $trial = new ProofTrial($family->circuit($family->parameters()->read([])), $family->repairSheet());
        self::assertSame($trial->job(true, new RandomSource(4)), $trial->job(true, new RandomSource(4)));
    }
}
