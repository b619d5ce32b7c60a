<?php

declare(strict_types=1);

namespace Tests\Core\Away;

use Ispira\Core\Away\Desk;
use Ispira\Core\Away\KeptJob;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\ProcedureLibrary;

/**
 * A job as a device keeps it: only the top setting blows, and nothing was measured yet.
 */
final class KeptJobs
{
    public const ID = '01k00000000000000000000009';
    private const MAP = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];

    /** @param array<string, mixed> $change of the whole document */
    public static function json(array $change = []): string
    {
        $readings = [];
        foreach (self::MAP as $position => $state) {
            $readings[] = ['id' => "map-$position", 'test' => "speed@$position", 'map' => 'map', 'value' => $state];
        }

        return json_encode(
            $change + [
                'format' => KeptJob::NAME,
                'version' => KeptJob::VERSION,
                'id' => self::ID,
                'me' => 'Iska Moren',
                'job' => [
                    'format' => 'ispira-job',
                    'version' => 2,
                    'job' => ['kind' => 'fault', 'stage' => 'bench', 'number' => 'J-0001', 'complaint' => 'Only high'],
                    'unit' => ['name' => 'Ferry Sprat, cabin'],
                    'circuit' => ['family' => 'stepped-blower', 'parameters' => (object) []],
                    'maps' => [['id' => 'map', 'kind' => 'before', 'episode' => 0]],
                    'readings' => $readings,
                ],
                'people' => (object) [],
                'verdicts' => (object) [],
                'workplace' => [
                    'unitSystem' => 'metric',
                    'labourPerHour' => 75.0,
                    'comeBackHours' => 1.5,
                    'procedures' => self::procedures(),
                ],
            ],
            \JSON_THROW_ON_ERROR,
        );
    }

    /** @return list<array<string, mixed>> */
    private static function procedures(): array
    {
        return array_values(array_map(ProcedureFormat::toArray(...), (new ProcedureLibrary())->all()));
    }

    public static function desk(): Desk
    {
        return new Desk(FamilyRegistry::shipped(), new PlannerRegistry(), new MemoryStore());
    }

    public static function id(int $number): string
    {
        return \sprintf('01k0000000000000000000%04d', $number);
    }
}
