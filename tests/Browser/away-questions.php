<?php

/*
 * Prints, for every family, what a device may be asked about a job of it, with the answers of this PHP: one line of JSON
 * a family. The job is an ordinary one with a hidden fault; two readings are taken as they are proposed.
 */

declare(strict_types=1);

use Ispira\Core\Away\Desk;
use Ispira\Core\Away\KeptJob;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Planning\PlannerRegistry;

require __DIR__ . '/../../vendor/autoload.php';

const READINGS = 2;
$id = static fn(int $n): string => sprintf('01k0000000000000000000%04d', $n);
$families = FamilyRegistry::shipped();
foreach ($families->all() as $family) {
    $circuit = $family->circuit($family->parameters()->read([]));
    $hypotheses = HypothesisList::of($circuit, false);
    $unit = new SimulatedUnit(
        $circuit,
        array_values($hypotheses)[intdiv(count($hypotheses), 3)],
        new RandomSource(5),
        0.0,
    );
    $map = $id(1);
    $readings = [];
    foreach ($circuit->positions as $position) {
        $test = $circuit->speedTest($position->key);
        $readings[] = [
            'id' => $id(100 + count($readings)),
            'test' => $test->key,
            'map' => $map,
            'value' => $unit->read('map', $test, 0)->value,
            'takenAt' => '2026-11-29T08:00:00Z',
        ];
    }
    $kept = json_encode(
        [
            'format' => KeptJob::NAME,
            'version' => KeptJob::VERSION,
            'id' => $id(9),
            'me' => 'Iska Moren',
            'job' => [
                'format' => 'ispira-job',
                'version' => 2,
                'job' => ['kind' => 'fault', 'stage' => 'bench', 'number' => 'J-0001', 'complaint' => 'Wrong speeds'],
                'unit' => ['name' => 'Ferry Sprat, cabin'],
                'circuit' => ['family' => $family->key(), 'parameters' => (object) []],
                'maps' => [['id' => $map, 'kind' => 'before', 'episode' => 0]],
                'readings' => $readings,
            ],
            'people' => (object) [],
            'verdicts' => (object) [],
            'workplace' => ['unitSystem' => 'metric', 'labourPerHour' => 75.0, 'comeBackHours' => 1.5],
        ],
        JSON_THROW_ON_ERROR,
    );
    $desk = new Desk($families, new PlannerRegistry(), new MemoryStore());
    $asked = [];
    $ask = static function (array $done, ?string $page) use ($desk, $kept, &$asked): array {
        $question = ['kept' => $kept, 'today' => '2026-11-29', 'done' => $done, 'page' => $page, 'from' => ''];
        $text = json_encode($question, JSON_THROW_ON_ERROR);
        $answer = $desk->answer($text);
        $asked[] = ['question' => $text, 'answer' => json_decode((string) json_encode($answer), true)];

        return (array) json_decode((string) json_encode($answer), true);
    };
    $done = [];
    $page = $ask($done, 'bench');
    for ($n = 0; $n < READINGS; ++$n) {
        $key = $page['props']['diagnosis']['next']['key'] ?? null;
        if ($key === null) {
            break;
        }
        $value = $unit->read('reading', $circuit->tests[$key], 0)->value;
        $done[] = [
            'key' => "reading-$n",
            'act' => 'readings',
            'at' => "2026-11-29T08:1$n:00Z",
            'given' => [
                'id' => $id(500 + $n),
                'test' => $key,
                'overRange' => $value === null,
                'value' => is_float($value) ? sprintf('%.3f', $value) : null,
                'choice' => is_string($value) ? $value : '',
            ],
        ];
        $page = $ask($done, null);
    }
    $ask($done, 'verdict');
    $ask($done, 'swap');
    echo json_encode(['family' => $family->key(), 'asked' => $asked], JSON_THROW_ON_ERROR), "\n";
}
