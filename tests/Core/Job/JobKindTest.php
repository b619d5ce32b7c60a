<?php

declare(strict_types=1);

namespace Tests\Core\Job;

use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Reading\Trust;
use PHPUnit\Framework\TestCase;

final class JobKindTest extends TestCase
{
    public function testEveryKindEndsClosedAndPassesEachStageOnce(): void
    {
        foreach (JobKind::cases() as $kind) {
            $flow = $kind->flow();
            self::assertSame(JobStage::Closed, end($flow));
            self::assertSame(
                \count($flow),
                \count(array_unique(array_map(static fn(JobStage $s): string => $s->value, $flow))),
            );
        }
        self::assertFalse(JobKind::LoosePart->hasMap());
        self::assertTrue(JobKind::Fault->hasMap());
    }

    public function testWhatIsRememberedIsTrustedLess(): void
    {
        self::assertSame(Trust::Remembered, MapKind::Remembered->trust());
        self::assertGreaterThan(Trust::Measured->slip(), Trust::Remembered->slip());
    }
}
